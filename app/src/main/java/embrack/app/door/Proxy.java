package embrack.app.door;

import java.net.URI;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * The proxy that stands before the server, when one is stated: what it says of who asks and how is believed, if it asks
 * from a private address.
 *
 * <p>Source: X-Forwarded-For and X-Forwarded-Proto, common practice; private addresses by RFC 1918.
 */
@Component
class Proxy implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private final String address;

    Proxy(@Value("${embrack.proxy}") String address) {
        this.address = address;
    }

    /** The name under which a proxy is reached; empty without one. */
    static String host(String address) {
        if (address.isEmpty()) {
            return "";
        }
        String host = URI.create(address).getHost();
        if (host == null) {
            throw new IllegalArgumentException(
                    "EMBRACK_PROXY is the address of a proxy, as https://rigs.example; it was " + address);
        }
        return host;
    }

    @Override
    public void customize(TomcatServletWebServerFactory server) {
        if (!address.isEmpty()) {
            var valve = new RemoteIpValve();
            valve.setProtocolHeader("X-Forwarded-Proto");
            server.addEngineValves(valve);
        }
    }
}
