package org.ostendum.app.support;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/**
 * Lies between a browser and the application and can be cut: then nothing gets through any more, and nobody is told, as
 * when a radio link is lost. Lines that were open when it was cut stay dead; new ones go through once it is mended.
 */
public final class Cable implements AutoCloseable {
    private final int to;
    private final ServerSocket ears;
    private final List<Socket> sockets = new CopyOnWriteArrayList<>();
    private volatile int cuts;
    private volatile boolean whole = true;

    /** @param to port on loopback */
    public Cable(int to) throws IOException {
        this.to = to;
        this.ears = new ServerSocket(0, 50, InetAddress.getLoopbackAddress());
        new Thread(this::accept, "cable").start();
    }

    public int port() {
        return ears.getLocalPort();
    }

    public void cut() {
        whole = false;
        cuts++;
    }

    public void mend() {
        whole = true;
    }

    private void accept() {
        try {
            while (!ears.isClosed()) {
                Socket near = ears.accept();
                Socket far = new Socket(InetAddress.getLoopbackAddress(), to);
                sockets.addAll(List.of(near, far));
                int laid = whole ? cuts : -1;
                new Thread(() -> pass(near, far, laid), "cable there").start();
                new Thread(() -> pass(far, near, laid), "cable back").start();
            }
        } catch (IOException closed) {
            whole = false;
        }
    }

    private void pass(Socket from, Socket into, int laid) {
        byte[] some = new byte[8192];
        try (InputStream in = from.getInputStream();
                OutputStream out = into.getOutputStream()) {
            for (int count = in.read(some); count >= 0; count = in.read(some)) {
                if (whole && laid == cuts) {
                    out.write(some, 0, count);
                    out.flush();
                }
            }
        } catch (IOException gone) {
            // The other end has hung up.
            sockets.removeAll(List.of(from, into));
        }
    }

    @Override
    public void close() throws IOException {
        ears.close();
        for (Socket socket : sockets) {
            socket.close();
        }
    }
}
