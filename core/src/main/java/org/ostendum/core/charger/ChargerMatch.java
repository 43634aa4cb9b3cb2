package org.ostendum.core.charger;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.charge.ChargeSums;
import org.ostendum.core.event.ChargeKind;
import org.ostendum.core.judge.Message;
import org.ostendum.core.quantity.Volts;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rules;
import org.ostendum.core.rulebook.Severity;

/**
 * Does this charger go with this battery, here and now? Practice {@code charge.match}; the worst comes first.
 */
public final class ChargerMatch {
    /** Of what it draws, so much reaches the battery (rule of thumb). */
    private static final double CHARGER_EFFICIENCY = 0.88;

    private final ChargerSheet charger;
    private final BatteryModel battery;
    private final Surroundings now;
    private final Rules rules;
    private final List<Mismatch> misfits = new ArrayList<>();

    private ChargerMatch(ChargerSheet charger, BatteryModel battery, Surroundings now, Rules rules) {
        this.charger = charger;
        this.battery = battery;
        this.now = now;
        this.rules = rules;
    }

    /**
     * What else has a say.
     *
     * @param connector of the battery in the words of the site; empty where nobody has said
     * @param rest volts of the whole battery at rest; null where nobody has read them
     * @param hydrogen most of it in the room over the hours to come with this charge, part of the air, 0 to 1
     * @param kilowattsLeft that the site may still draw; null where nothing limits it
     * @param wanted kind of charge
     * @param opportunity whether the battery's sheet allows short charges in the breaks
     * @param bridged cells of the battery that give no volts for now
     */
    public record Surroundings(
            String connector,
            @Nullable Volts rest,
            double hydrogen,
            @Nullable Double kilowattsLeft,
            ChargeKind wanted,
            boolean opportunity,
            int bridged) {
        public static final Surroundings UNKNOWN =
                new Surroundings("", null, 0, null, ChargeKind.CONVENTIONAL, false, 0);
    }

    /** @return what does not fit, worst first; none for a good match */
    public static List<Mismatch> of(ChargerSheet charger, BatteryModel battery, Surroundings now, Rules rules) {
        return new ChargerMatch(charger, battery, now, rules).find();
    }

    public static boolean isRefused(List<Mismatch> misfits) {
        return misfits.stream().anyMatch(m -> m.severity() == Severity.STOP);
    }

    private List<Mismatch> find() {
        plate();
        current();
        lockout();
        surroundings();
        school();
        misfits.sort((a, b) -> b.severity().compareTo(a.severity()));
        return misfits;
    }

    private void add(Mismatch.Kind kind, Severity severity, Object... arguments) {
        misfits.add(new Mismatch(kind, severity, Message.of("match." + kind, arguments)));
    }

    private int cells() {
        return battery.cells() - now.bridged();
    }

    private void plate() {
        if (!charger.cells().contains(cells())) {
            add(Mismatch.Kind.VOLTAGE, Severity.STOP, charger.voltages(), battery.nominalVolts() - 2 * now.bridged());
        }
        if (!charger.kinds().contains(battery.kind())) {
            add(Mismatch.Kind.CHEMISTRY, Severity.STOP, battery.kind());
        }
        String plug = charger.connector().strip().toLowerCase(Locale.ROOT);
        String socket = now.connector().strip().toLowerCase(Locale.ROOT);
        if (!plug.isEmpty() && !socket.isEmpty() && !plug.equals(socket)) {
            add(Mismatch.Kind.CONNECTOR, Severity.STOP, charger.connector(), now.connector());
        }
        double size = battery.capacity().ampHours();
        if (size < charger.least().ampHours() || size > charger.most().ampHours()) {
            add(
                    Mismatch.Kind.CAPACITY,
                    Severity.ACT,
                    (int) Math.round(charger.least().ampHours()),
                    (int) Math.round(charger.most().ampHours()),
                    (int) Math.round(size));
        }
    }

    private void current() {
        double per100 = 100 * charger.amperes().amperes() / battery.capacity().ampHours();
        int most = rules.percent(RuleKey.CHARGE_RATE_MOST);
        int least = rules.percent(RuleKey.CHARGE_RATE_LEAST);
        if (per100 > most) {
            add(Mismatch.Kind.TOO_MANY_AMPERES, Severity.ACT, tenths(per100), most);
        } else if (per100 < least && charger.kind() != ChargerKind.AVIATION) {
            add(Mismatch.Kind.TOO_FEW_AMPERES, Severity.WATCH, tenths(per100), least);
        }
    }

    private void lockout() {
        Volts rest = now.rest();
        if (rest != null && rest.volts() < charger.sensesFrom().volts() * cells()) {
            double wanted = charger.sensesFrom().volts() * cells();
            add(Mismatch.Kind.LOCKOUT, Severity.ACT, tenths(rest.volts()), tenths(wanted));
        }
    }

    private void surroundings() {
        double percent = 100 * now.hydrogen();
        if (percent >= rules.number(RuleKey.HYDROGEN_ALARM)) {
            add(Mismatch.Kind.AIR, Severity.STOP, tenths(percent), rules.value(RuleKey.HYDROGEN_ALARM));
        }
        Double left = now.kilowattsLeft();
        double wanted = kilowatts(charger, cells(), rules);
        if (left != null && wanted > left) {
            add(Mismatch.Kind.POWER, Severity.ACT, tenths(wanted), tenths(left));
        }
    }

    private void school() {
        if (now.wanted().needsCaps() && !battery.kind().hasCaps()) {
            add(Mismatch.Kind.SCHOOL, Severity.STOP, Message.of("match.SCHOOL.sealed", battery.kind()));
        }
        if (now.wanted().isPartial() && !(charger.opportunity() && now.opportunity())) {
            add(
                    Mismatch.Kind.SCHOOL,
                    Severity.STOP,
                    Message.of(charger.opportunity() ? "match.SCHOOL.battery" : "match.SCHOOL.charger"));
        }
    }

    /** @return kW it draws from the mains while it gives its full current to that battery */
    public static double kilowatts(ChargerSheet charger, int cells, Rules rules) {
        return ChargeSums.absorption(cells, rules.temperatureCorrection().reference())
                        .volts()
                * charger.amperes().amperes()
                / 1000
                / CHARGER_EFFICIENCY;
    }

    private static double tenths(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
