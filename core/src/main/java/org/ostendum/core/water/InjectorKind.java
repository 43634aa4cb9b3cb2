package org.ostendum.core.water;

import java.util.Locale;

/** The name of an injector's kind as a person types it. A site that changes over writes "the new one instead of the old one". */
public final class InjectorKind {
    private static final String INSTEAD = " instead of ";

    private InjectorKind() {}

    /** @return the kind that is fitted, without the one it takes the place of */
    public static String fitted(String typed) {
        int at = typed.toLowerCase(Locale.ROOT).indexOf(INSTEAD);
        return (at < 0 ? typed : typed.substring(0, at)).strip();
    }

    /**
     * @param usual kind of the kits of this model
     * @return whether it is that kind, or another one on purpose
     */
    public static boolean isMeant(String typed, String usual) {
        String told = typed.strip().toLowerCase(Locale.ROOT);
        return told.equals(usual.toLowerCase(Locale.ROOT)) || told.endsWith(INSTEAD + usual.toLowerCase(Locale.ROOT));
    }
}
