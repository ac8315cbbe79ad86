package embrack.app.door;

import embrack.app.store.crew.Accounts;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Optional;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Keeps the server from being started where others reach it before people have accounts, or without TLS: its own, or
 * that of a proxy that is stated.
 */
@Component
class Listening implements SmartInitializingSingleton {

    private final String address;
    private final boolean hasTls;
    private final String proxy;
    private final Accounts accounts;

    Listening(
            @Value("${server.address}") String address,
            @Value("${server.ssl.key-store:}") String keyStore,
            @Value("${embrack.proxy}") String proxy,
            Accounts accounts) {
        this.address = address;
        this.hasTls = !keyStore.isEmpty();
        this.proxy = proxy;
        this.accounts = accounts;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (!isLoopback(address)) {
            problem(hasTls || !proxy.isEmpty(), accounts.any()).ifPresent(words -> {
                throw new IllegalStateException(words);
            });
        }
    }

    /** Why the server may not listen elsewhere than on loopback; empty when it may. */
    static Optional<String> problem(boolean hasTlsOrProxy, boolean hasAccounts) {
        if (!hasAccounts) {
            return Optional.of("Embrack listens on loopback alone until people have accounts. Start it without "
                    + "EMBRACK_ADDRESS, make the first account under People, then start it again.");
        }
        return hasTlsOrProxy
                ? Optional.empty()
                : Optional.of("Embrack listens elsewhere than on loopback with TLS or behind a proxy that has it. Set "
                        + "EMBRACK_PROXY to the address of the proxy, as https://rigs.example, or "
                        + "SERVER_SSL_KEY_STORE.");
    }

    static boolean isLoopback(String address) {
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }
}
