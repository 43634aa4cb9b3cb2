package org.ostendum.app.job.begin;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.job.GateLine;
import org.ostendum.app.job.JobRunning.PassedGate;
import org.ostendum.app.job.JobViews;
import org.ostendum.app.job.begin.ChargerChoice.Choice;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.Step;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts batteries on their usual chargers at one look each, as at the end of a day along a row. The gates are those of the job. */
@Service
public class ChargesAtOnce {
    private final ChargeOffer offers;
    private final JobViews views;
    private final Beginning beginning;
    private final LookOver lookOver;

    ChargesAtOnce(ChargeOffer offers, JobViews views, Beginning beginning, LookOver lookOver) {
        this.offers = offers;
        this.views = views;
        this.beginning = beginning;
        this.lookOver = lookOver;
    }

    /**
     * A battery that could be plugged in.
     *
     * @param charger code of its usual one; null where none is known, so that somebody has to choose
     * @param shut what stands against it
     * @param looks what no record tells and has to be seen
     */
    public record Ready(Battery battery, @Nullable String charger, List<GateLine> shut, List<GateLine> looks) {
        public boolean isOpen() {
            return charger != null && shut.isEmpty();
        }
    }

    /** What is looked at on each battery. */
    public List<String> looks(Words words) {
        return offers.procedure().said(words::phrase).steps().stream()
                .map(Step::rightText)
                .toList();
    }

    /** Whether one look is enough: the site may have added a figure to be read. */
    public boolean isEnough() {
        return offers.procedure().canBeLookedOver();
    }

    public Ready ready(Battery battery, Person person, Words words) {
        return ready(job(battery, person, words), battery);
    }

    private JobToBegin job(Battery battery, Person person, Words words) {
        ChargeOffer.Offer offer = offers.of(battery, person);
        return JobToBegin.plain(
                offer.procedure(),
                battery,
                offer.choice(),
                offer.situation(),
                views.gates(offer.procedure(), offer.situation(), words));
    }

    private static Ready ready(JobToBegin job, Battery battery) {
        @Nullable Choice choice = job.choice();
        return new Ready(
                battery,
                choice == null || choice.chosen() == null
                        ? null
                        : choice.chosen().charger().code(),
                job.shut(),
                job.looks());
    }

    /** @return why it could not be begun; empty where it charges now */
    @Transactional
    public Optional<String> begin(Battery battery, Person person, Words words) {
        JobToBegin job = job(battery, person, words);
        if (!ready(job, battery).isOpen()) {
            return Optional.of(job.shut().stream()
                    .flatMap(line -> Stream.of(line.why(), line.remedy()))
                    .reduce((a, b) -> a + " " + b)
                    .orElseGet(() -> words.text("several.no-charger")));
        }
        List<PassedGate> passed = new ArrayList<>();
        job.looks().forEach(line -> passed.add(line.looked()));
        long begun = beginning.begin(job, person, passed);
        return lookOver.goThrough(begun, person, words)
                ? Optional.empty()
                : Optional.of(words.text("several.step", begun));
    }
}
