package org.ostendum.app.security;

import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the server itself looks at before the application does. */
@Configuration
class ServerConfiguration {
    /**
     * @param proxies addresses, as a regular expression, whose word is taken for where a request came from and whether it came
     *     encrypted; empty for nobody's
     */
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> valves(
            KnownSessions sessions, @Value("${ostendum.proxies}") String proxies) {
        return server -> {
            if (!proxies.isBlank()) {
                server.addEngineValves(behind(proxies));
            }
            server.addEngineValves(new BodiesAtOnce(sessions));
        };
    }

    private static RemoteIpValve behind(String proxies) {
        RemoteIpValve valve = new RemoteIpValve();
        valve.setInternalProxies(proxies);
        valve.setRemoteIpHeader("X-Forwarded-For");
        valve.setProtocolHeader("X-Forwarded-Proto");
        return valve;
    }
}
