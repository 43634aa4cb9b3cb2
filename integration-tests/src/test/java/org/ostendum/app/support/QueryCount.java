package org.ostendum.app.support;

import java.util.concurrent.atomic.AtomicInteger;
import org.jooq.ExecuteContext;
import org.jooq.ExecuteListener;
import org.jooq.ExecuteListenerProvider;
import org.springframework.boot.test.context.TestComponent;

/** Counts what the application asks the database. */
@TestComponent
public class QueryCount implements ExecuteListenerProvider {
    private final transient AtomicInteger asked = new AtomicInteger();

    @Override
    public ExecuteListener provide() {
        return new ExecuteListener() {
            @Override
            public void executeStart(ExecuteContext context) {
                asked.incrementAndGet();
            }
        };
    }

    /** @return questions asked so far by everybody */
    public int soFar() {
        return asked.get();
    }
}
