package org.ostendum.app.kills;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.sql.Statement;
import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.ostendum.app.support.Visitor;

/** Somebody who works on while what he works with is killed. */
abstract class Worker {
    final Visitor visitor;
    final String battery;
    private final String login;
    private final AtomicReference<Throwable> failed = new AtomicReference<>();
    private final Thread thread = new Thread(this::work, getClass().getSimpleName());
    private volatile boolean done;

    Worker(int port, String login, String battery) {
        this.visitor = new Visitor(port);
        this.login = login;
        this.battery = battery;
    }

    void start() {
        thread.start();
    }

    void finish() throws Exception {
        done = true;
        thread.join(TimeUnit.MINUTES.toMillis(3));
        if (failed.get() != null) {
            throw new IllegalStateException(getClass().getSimpleName() + " could not go on", failed.get());
        }
    }

    private void work() {
        try {
            signIn();
            while (!done) {
                deed();
            }
        } catch (Throwable e) {
            failed.set(e);
        }
    }

    private void signIn() throws InterruptedException {
        while (!done) {
            try {
                if (visitor.signIn(login, "lanternmoor")) {
                    return;
                }
            } catch (Exception away) {
                // Tried again below.
            }
            TimeUnit.MILLISECONDS.sleep(200);
        }
    }

    /** One thing, until it is answered or given up. */
    abstract void deed() throws Exception;

    abstract void check(Statement statement) throws Exception;

    abstract String told();

    /** @return how much was answered: of nothing nothing can be lost */
    abstract int answered();

    boolean isDone() {
        return done;
    }

    /** @return the answer; null where none came, so that nobody knows whether it was done */
    HttpResponse<String> once(Callable<HttpResponse<String>> request) throws Exception {
        try {
            HttpResponse<String> answer = request.call();
            return answer.statusCode() >= 500 ? null : answer;
        } catch (IOException away) {
            TimeUnit.MILLISECONDS.sleep(100);
            return null;
        }
    }
}
