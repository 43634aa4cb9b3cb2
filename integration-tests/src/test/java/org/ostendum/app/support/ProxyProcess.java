package org.ostendum.app.support;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.time.Duration;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLEngine;
import javax.net.ssl.TrustManager;
import javax.net.ssl.X509ExtendedTrustManager;

/** The web server of docs/operating.md in front of the application, with its very example. */
public final class ProxyProcess implements AutoCloseable {
    private static final Path HANDBOOK = Path.of("../docs/operating.md");

    private final int port;
    private final Process process;
    private final HttpClient client;

    public ProxyProcess(Path folder, int application) throws Exception {
        port = FreePort.any();
        run(
                folder,
                "openssl",
                "req",
                "-x509",
                "-newkey",
                "rsa:2048",
                "-nodes",
                "-days",
                "2",
                "-subj",
                "/CN=localhost",
                "-keyout",
                "room.key",
                "-out",
                "room.pem");
        Path conf = Files.writeString(folder.resolve("nginx.conf"), configuration(folder, application));
        process = new ProcessBuilder(
                        "/usr/sbin/nginx", "-p", folder.toString(), "-c", conf.toString(), "-g", "daemon off;")
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("nginx.log").toFile())
                .start();
        client = trusting();
        await(folder);
    }

    private String configuration(Path folder, int application) throws IOException {
        String handbook = Files.readString(HANDBOOK);
        int begin = handbook.indexOf("```nginx") + "```nginx".length();
        String server = handbook.substring(begin, handbook.indexOf("```", begin))
                .replace("443", "127.0.0.1:" + port)
                .replace("8100", String.valueOf(application))
                .replace(
                        "/etc/ssl/certs/battery-room.pem",
                        folder.resolve("room.pem").toString())
                .replace(
                        "/etc/ssl/private/battery-room.key",
                        folder.resolve("room.key").toString());
        return "pid " + folder.resolve("pid") + ";\nerror_log " + folder.resolve("error.log")
                + ";\nevents {}\nhttp {\naccess_log off;\nclient_body_temp_path " + folder.resolve("body")
                + ";\nproxy_temp_path " + folder.resolve("proxy") + ";\n" + server + "}\n";
    }

    private static void run(Path folder, String... command) throws IOException, InterruptedException {
        int code = new ProcessBuilder(command)
                .directory(folder.toFile())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("made.log").toFile())
                .start()
                .waitFor();
        if (code != 0) {
            throw new IllegalStateException(String.join(" ", command) + " ended with " + code);
        }
    }

    private void await(Path folder) {
        Patience.await("proxy, see " + folder.resolve("nginx.log"), Duration.ofSeconds(10), process)
                .ignoreException(IOException.class)
                .until(() -> get("/first-aid").statusCode() > 0);
    }

    public HttpResponse<String> get(String path, String... header) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("https://localhost:" + port + path));
        if (header.length > 0) {
            request.headers(header);
        }
        return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    /** The certificate is this test's own. */
    private static HttpClient trusting() throws Exception {
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, new TrustManager[] {new TrustsAll()}, new SecureRandom());
        return HttpClient.newBuilder().sslContext(context).build();
    }

    private static final class TrustsAll extends X509ExtendedTrustManager {
        @Override
        public void checkClientTrusted(X509Certificate[] chain, String kind, Socket socket) {}

        @Override
        public void checkServerTrusted(X509Certificate[] chain, String kind, Socket socket) {}

        @Override
        public void checkClientTrusted(X509Certificate[] chain, String kind, SSLEngine engine) {}

        @Override
        public void checkServerTrusted(X509Certificate[] chain, String kind, SSLEngine engine) {}

        @Override
        public void checkClientTrusted(X509Certificate[] chain, String kind) {}

        @Override
        public void checkServerTrusted(X509Certificate[] chain, String kind) {}

        @Override
        public X509Certificate[] getAcceptedIssuers() {
            return new X509Certificate[0];
        }
    }

    @Override
    public void close() {
        process.destroy();
    }
}
