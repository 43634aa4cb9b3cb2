package org.ostendum.app.seal;

import java.util.List;
import java.util.Optional;
import org.ostendum.app.notice.HouseMail;
import org.ostendum.app.seal.SealFiles.Kept;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.MailException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Sends each day's seal to a mailbox where nobody comes who has the machine. One that did not go out is tried again until the
 * next one is there, which names it.
 */
@Component
class SealMail {
    private static final Logger LOG = LoggerFactory.getLogger(SealMail.class);

    private final Optional<Seals> seals;
    private final HouseMail mail;
    private final String address;

    /** @param address empty where the site mails none */
    SealMail(SealOfTheDay seals, HouseMail mail, @Value("${ostendum.seal.mail-to}") String address) {
        this.seals = seals.seals();
        this.mail = mail;
        this.address = address;
    }

    @Scheduled(fixedDelayString = "${ostendum.seal.mail-every}")
    void send() {
        if (!address.isEmpty() && mail.isOpen()) {
            seals.ifPresent(this::sendNewest);
        }
    }

    private void sendNewest(Seals kept) {
        List<Kept> all = kept.all();
        if (!all.isEmpty()) {
            Kept newest = all.get(all.size() - 1);
            newest.seal()
                    .filter(seal -> !kept.isMailed(newest.day()))
                    .ifPresent(seal -> send(kept, newest.day(), seal));
        }
    }

    private void send(Seals kept, String day, Seal seal) {
        try {
            mail.send(address, "Ostendum seal of " + day, seal.text() + "\nkey " + kept.openKey() + "\n");
            kept.mailed(day);
        } catch (MailException e) {
            LOG.warn("The seal of {} could not be mailed to {}: {}", day, address, e.getMessage());
        }
    }
}
