package org.ostendum.standins;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.GreenMailUtil;
import com.icegreen.greenmail.util.ServerSetup;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMessage;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;

/** Where messages of alarms arrive in the demo: a mail server and a program that is called. What came is written into a file. */
final class Receivers implements AutoCloseable {
    private static final String LOOPBACK = "127.0.0.1";
    private static final int MOST_BYTES = 100_000;

    private final GreenMail mail;
    private final HttpServer hook;
    private final Path file;
    private int written;

    /**
     * Begins to listen on loopback.
     *
     * @param file into which each message is written on a line
     */
    Receivers(int mailPort, int hookPort, Path file) throws IOException {
        this.file = file;
        this.mail = new GreenMail(new ServerSetup(mailPort, LOOPBACK, ServerSetup.PROTOCOL_SMTP));
        this.hook = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), hookPort), 0);
        mail.start();
        hook.createContext("/", this::called);
        hook.start();
    }

    private void called(HttpExchange call) throws IOException {
        try (call) {
            String body = new String(call.getRequestBody().readNBytes(MOST_BYTES), StandardCharsets.UTF_8);
            write("call of " + call.getRequestURI() + ": " + body);
            call.sendResponseHeaders(204, -1);
        }
    }

    /** Writes down the mail that has come since. */
    void look() {
        MimeMessage[] all = mail.getReceivedMessages();
        for (; written < all.length; written++) {
            try {
                MimeMessage message = all[written];
                write("mail to " + message.getAllRecipients()[0] + ": " + message.getSubject() + " | "
                        + GreenMailUtil.getBody(message));
            } catch (MessagingException | IOException e) {
                System.err.println("stand-ins: a mail could not be read: " + e.getMessage());
            }
        }
    }

    private synchronized void write(String what) throws IOException {
        Files.writeString(
                file,
                Instant.now() + " " + what.replaceAll("\\s+", " ") + System.lineSeparator(),
                StandardOpenOption.CREATE,
                StandardOpenOption.APPEND);
    }

    @Override
    public void close() {
        mail.stop();
        hook.stop(0);
    }
}
