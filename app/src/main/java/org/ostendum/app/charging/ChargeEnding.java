package org.ostendum.app.charging;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.charging.ChargeViews.ChargeView;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.ledger.LedgerEvents;
import org.ostendum.app.state.BatteryRecord;
import org.ostendum.app.words.Words;
import org.ostendum.core.event.BatteryEvent.ChargeEnded;
import org.ostendum.core.event.Ending;
import org.ostendum.core.event.FullSign;
import org.ostendum.core.people.Person;
import org.ostendum.core.quantity.AmpHours;
import org.springframework.stereotype.Service;

/** Ends a charge on the ledger with what speaks for it: full on its evidence, or not shown to be. */
@Service
public class ChargeEnding {
    private final ChargeViews views;
    private final BatteryRecord batteryRecord;

    ChargeEnding(ChargeViews views, BatteryRecord batteryRecord) {
        this.views = views;
        this.batteryRecord = batteryRecord;
    }

    /** @return whether evidence shows by now that a charging battery is full; empty where it does not charge */
    public Optional<Boolean> isShownFull(Battery battery) {
        return running(battery).map(ChargeView::isFull);
    }

    /**
     * Ends it as somebody does who walks along and pulls plugs: on the evidence there is, else on the lamp alone, which shows nothing.
     *
     * @return whether it was charging
     */
    public boolean endAsFound(Battery battery, Person person, Words words) {
        Optional<ChargeView> view = running(battery);
        view.ifPresent(found -> {
            if (found.isToBeExplained()) {
                record(found, Ending.FULL, Set.of(FullSign.LAMP), "", person, words);
            } else {
                end(found, "", person, words);
            }
        });
        return view.isPresent();
    }

    private Optional<ChargeView> running(Battery battery) {
        return views.view(battery, true).filter(ChargeView::isRunning);
    }

    /** @param reason blank where its evidence says enough */
    void end(ChargeView view, String reason, Person person, Words words) {
        record(view, view.ending(), view.verdict().signs(), reason, person, words);
    }

    private void record(
            ChargeView view, Ending ending, Set<FullSign> signs, String reason, Person person, Words words) {
        @Nullable
        AmpHours returned = view.returned() <= 0 ? null : AmpHours.of(Math.min(AmpHours.MOST, view.returned()));
        ChargeEnded ended = new ChargeEnded(view.doneAt(words.now()), ending, signs, returned);
        batteryRecord.record(
                view.battery(), List.of(LedgerEvents.entry(ended, person.id(), told(view, signs, reason, words))));
    }

    /** The evidence in words, what was dangerous, then the reason: it stays with the line. */
    private static String told(ChargeView view, Set<FullSign> found, String reason, Words words) {
        String signs = found.stream().map(words::name).collect(Collectors.joining(", "));
        String how = words.text(
                view.isFull() ? "charge.told.full" : "charge.told.not-full",
                signs.isEmpty() ? words.text("charge.told.nothing") : signs);
        String danger = view.endNow() == null ? "" : words.say(view.endNow());
        return Stream.of(how, danger, reason).filter(part -> !part.isEmpty()).collect(Collectors.joining(" "));
    }
}
