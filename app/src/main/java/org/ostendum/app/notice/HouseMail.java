package org.ostendum.app.notice;

import java.util.Properties;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.MailException;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Component;

/** The mail server of the site, where it has one. */
@Component
public class HouseMail {
    private static final String PATIENCE_MILLIS = "8000";

    private final JavaMailSenderImpl sender = new JavaMailSenderImpl();
    private final String host;
    private final String from;

    /** @param host empty where the site has no mail server */
    public HouseMail(
            @Value("${ostendum.mail.host}") String host,
            @Value("${ostendum.mail.port}") int port,
            @Value("${ostendum.mail.user}") String user,
            @Value("${ostendum.mail.password}") String password,
            @Value("${ostendum.mail.from}") String from) {
        this.host = host;
        this.from = from;
        sender.setHost(host);
        sender.setPort(port);
        Properties properties = sender.getJavaMailProperties();
        properties.setProperty("mail.smtp.connectiontimeout", PATIENCE_MILLIS);
        properties.setProperty("mail.smtp.timeout", PATIENCE_MILLIS);
        properties.setProperty("mail.smtp.writetimeout", PATIENCE_MILLIS);
        if (!user.isEmpty()) {
            sender.setUsername(user);
            sender.setPassword(password);
            properties.setProperty("mail.smtp.auth", "true");
            // A password goes over no open line.
            properties.setProperty("mail.smtp.starttls.required", "true");
            properties.setProperty("mail.smtp.starttls.enable", "true");
        }
    }

    /** @return whether the site has a mail server at all */
    public boolean isOpen() {
        return !host.isEmpty();
    }

    /** @throws MailException where the server did not take it */
    public void send(String address, String subject, String text) {
        SimpleMailMessage mail = new SimpleMailMessage();
        mail.setFrom(from);
        mail.setTo(address);
        mail.setSubject(subject);
        mail.setText(text);
        sender.send(mail);
    }
}
