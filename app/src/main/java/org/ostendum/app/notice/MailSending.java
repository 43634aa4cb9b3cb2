package org.ostendum.app.notice;

import org.springframework.mail.MailException;
import org.springframework.stereotype.Component;

/** By mail, through the server of the site. */
@Component
class MailSending implements Sending {
    private final HouseMail mail;

    MailSending(HouseMail mail) {
        this.mail = mail;
    }

    @Override
    public NoticeRule.Way way() {
        return NoticeRule.Way.MAIL;
    }

    @Override
    public boolean isOpen() {
        return mail.isOpen();
    }

    @Override
    public void send(String address, NoticeMessage message) {
        try {
            mail.send(address, message.subject(), message.sentence());
        } catch (MailException e) {
            throw new SendingFailed(String.valueOf(e.getMessage()), e);
        }
    }
}
