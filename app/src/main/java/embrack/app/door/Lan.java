package embrack.app.door;

import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * The second door, when there is one: HTTPS on an address of this network, for tablets beside the rack. The first one
 * stays as it is, on loopback.
 */
@Component
class Lan implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {

    private final String address;
    private final int port;
    private final String keystore;
    private final String keystorePassword;

    Lan(
            @Value("${embrack.lan.address}") String address,
            @Value("${embrack.lan.port}") int port,
            @Value("${embrack.lan.keystore}") String keystore,
            @Value("${embrack.lan.keystore-password}") String keystorePassword) {
        this.address = address;
        this.port = port;
        this.keystore = keystore;
        this.keystorePassword = keystorePassword;
    }

    /** Whether there is a second door at all. */
    boolean isOpen() {
        return !address.isEmpty();
    }

    /** Whether a request that arrived at a port came through the second door. */
    boolean isAt(int localPort) {
        return isOpen() && localPort == port;
    }

    @Override
    public void customize(TomcatServletWebServerFactory server) {
        if (!isOpen()) {
            return;
        }
        var connector = new Connector(Http11NioProtocol.class.getName());
        connector.setPort(port);
        connector.setScheme("https");
        connector.setSecure(true);
        connector.setProperty("address", address);
        connector.setProperty("SSLEnabled", "true");
        connector.setProperty("maxSwallowSize", String.valueOf(70 << 20));
        connector.setProperty("maxThreads", "32");
        connector.setMaxPostSize(1 << 20);
        var tls = new SSLHostConfig();
        tls.setProtocols("TLSv1.2+TLSv1.3");
        var certificate = new SSLHostConfigCertificate(tls, SSLHostConfigCertificate.Type.UNDEFINED);
        certificate.setCertificateKeystoreFile(keystore);
        certificate.setCertificateKeystorePassword(keystorePassword);
        certificate.setCertificateKeystoreType("PKCS12");
        tls.addCertificate(certificate);
        connector.addSslHostConfig(tls);
        server.addAdditionalConnectors(connector);
    }
}
