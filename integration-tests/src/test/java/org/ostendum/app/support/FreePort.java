package org.ostendum.app.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;

/** A port on which nobody listens. */
final class FreePort {
    private FreePort() {}

    static int any() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
