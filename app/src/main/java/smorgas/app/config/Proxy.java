package smorgas.app.config;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.regex.Pattern;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.ConfigurableTomcatWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * What a proxy in front of this server says of a request (for whom, by which scheme and port) is believed only if the
 * administrator has named the proxy, and then only from its address. Under which name it is called, nobody may say: that is the
 * Host header as received ({@link Hosts}).
 */
@Component
final class Proxy implements WebServerFactoryCustomizer<ConfigurableTomcatWebServerFactory> {

    private final String address;

    /** @param address of the proxy; empty for none */
    Proxy(@Value("${smorgas.proxy}") String address) {
        this.address = address;
    }

    @Override
    public void customize(ConfigurableTomcatWebServerFactory server) {
        if (address.isEmpty()) {
            return;
        }
        RemoteIpValve believed = new RemoteIpValve();
        believed.setInternalProxies(Pattern.quote(numeric(address)));
        believed.setRemoteIpHeader("X-Forwarded-For");
        believed.setProtocolHeader("X-Forwarded-Proto");
        believed.setPortHeader("X-Forwarded-Port");
        server.addEngineValves(believed);
    }

    /** As the server writes the addresses of those who ask. */
    private static String numeric(String address) {
        try {
            return InetAddress.getByName(address).getHostAddress();
        } catch (UnknownHostException e) {
            throw new Refusal(Message.of("command.serve.proxy-unknown", address), e);
        }
    }
}
