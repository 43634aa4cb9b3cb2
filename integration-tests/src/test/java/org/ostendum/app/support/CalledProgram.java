package org.ostendum.app.support;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/** A program that alarms are told to: it keeps what it is called with. */
public final class CalledProgram implements AutoCloseable {
    private final HttpServer server;
    private final List<String> calls = new CopyOnWriteArrayList<>();
    private volatile int status = 204;

    public CalledProgram() throws IOException {
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", this::called);
        server.start();
    }

    private void called(HttpExchange call) throws IOException {
        try (call) {
            calls.add(new String(call.getRequestBody().readAllBytes(), StandardCharsets.UTF_8));
            call.sendResponseHeaders(status, -1);
        }
    }

    public String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort() + "/alarm";
    }

    public void answers(int code) {
        status = code;
    }

    /** @return bodies of all calls so far */
    public List<String> calls() {
        return List.copyOf(calls);
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
