package org.ostendum.app.api;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/** A request of whose body no more than so many bytes can be read. */
final class LimitedBody extends HttpServletRequestWrapper {
    private final long most;
    private @Nullable Counted counted;

    LimitedBody(HttpServletRequest request, long most) {
        super(request);
        this.most = most;
    }

    /** @return whether more was there than may be read */
    boolean isOver() {
        Counted body = counted;
        return body != null && body.read > most;
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
        Counted body = counted;
        if (body == null) {
            body = new Counted(super.getInputStream(), most);
            counted = body;
        }
        return body;
    }

    @Override
    public BufferedReader getReader() throws IOException {
        return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
    }

    private static final class Counted extends ServletInputStream {
        private final ServletInputStream body;
        private final long most;
        private long read;

        Counted(ServletInputStream body, long most) {
            this.body = body;
            this.most = most;
        }

        private void count(int bytes) throws IOException {
            read += Math.max(0, bytes);
            if (read > most) {
                throw new IOException("The body has more than " + most + " bytes");
            }
        }

        @Override
        public int read() throws IOException {
            int one = body.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int some = body.read(into, from, length);
            count(some);
            return some;
        }

        @Override
        public boolean isFinished() {
            return body.isFinished();
        }

        @Override
        public boolean isReady() {
            return body.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            body.setReadListener(listener);
        }
    }
}
