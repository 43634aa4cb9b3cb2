package org.ostendum.app.seal;

import java.util.List;
import org.ostendum.app.notice.HouseMail;
import org.ostendum.app.seal.SealFiles.Kept;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.mail.MailException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Sends each day's seal to a mailbox where nobody comes who has the machine. One that did not go out is tried again until the
 * next one is there, which names it.
 */
@Component
@ConditionalOnExpression("!'${ostendum.seal.folder}'.isEmpty() and !'${ostendum.seal.mail-to}'.isEmpty()")
class SealMail {
    private static final Logger LOG = LoggerFactory.getLogger(SealMail.class);

    private final Seals seals;
    private final HouseMail mail;
    private final String address;

    SealMail(Seals seals, HouseMail mail, @Value("${ostendum.seal.mail-to}") String address) {
        this.seals = seals;
        this.mail = mail;
        this.address = address;
    }

    @Scheduled(fixedDelayString = "${ostendum.seal.mail-every}")
    void send() {
        List<Kept> all = seals.all();
        if (!all.isEmpty() && mail.isOpen()) {
            Kept newest = all.get(all.size() - 1);
            newest.seal().filter(seal -> !seals.isMailed(newest.day())).ifPresent(seal -> send(newest.day(), seal));
        }
    }

    private void send(String day, Seal seal) {
        try {
            mail.send(address, "Ostendum seal of " + day, seal.text() + "\nkey " + seals.openKey() + "\n");
            seals.mailed(day);
        } catch (MailException e) {
            LOG.warn("The seal of {} could not be mailed to {}: {}", day, address, e.getMessage());
        }
    }
}
