package smorgas.app.config;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.Banner;
import org.springframework.boot.SpringApplication;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import smorgas.app.store.DataFolder;
import smorgas.app.store.OwnerOnly;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Wording;

/** Starts the web application. What can go wrong at the start is told in one line. */
@Command(name = "serve")
public final class ServeCommand implements Callable<Integer> {

    /** The exit code that means: do not exit, the server runs. */
    public static final int SERVING = -1;

    @Option(names = "--data", defaultValue = "data")
    private Path data = Path.of("data");

    @Option(names = "--port", defaultValue = "8620")
    private int port;

    @Option(names = "--address", defaultValue = "127.0.0.1")
    private String address = "";

    @Option(names = "--host", paramLabel = "NAME")
    private List<String> hosts = new ArrayList<>();

    @Option(names = "--proxy", paramLabel = "ADDRESS", defaultValue = "")
    private String proxy = "";

    @Option(names = "--demo")
    private boolean demo;

    @Option(names = "--standins")
    private boolean standins;

    @Option(names = "--fetch")
    private boolean fetch;

    @Option(names = "--fresh-demo")
    private boolean freshDemo;

    private final Wording wording;

    public ServeCommand(Wording wording) {
        this.wording = wording;
    }

    @Override
    public Integer call() throws IOException {
        Message fault = fault();
        if (fault == null && freshDemo) {
            // Only now: the folder is ours alone.
            DataFolder.delete(data);
        }
        if (fault != null) {
            System.err.println("smorgas: " + wording.of(fault));
            return 1;
        }
        if (demo) {
            DataFolder.setAside(data, Clock.systemUTC())
                    .ifPresent(
                            aside -> System.out.println(wording.of("command.serve.another-version", aside.toString())));
        }
        SpringApplication application = new SpringApplication(Application.class);
        application.setBannerMode(Banner.Mode.OFF);
        try {
            application.run(
                    "--smorgas.data=" + data.toAbsolutePath(),
                    "--smorgas.demo=" + (demo || freshDemo),
                    "--smorgas.fetch=" + fetch,
                    "--smorgas.standins=" + (standins || demo || freshDemo),
                    "--server.port=" + port,
                    "--server.address=" + address,
                    "--smorgas.hosts=" + String.join(",", hosts),
                    "--smorgas.proxy=" + proxy);
        } catch (RuntimeException e) {
            System.err.println("smorgas: " + wording.of("command.serve.could-not-start", whyOf(e)));
            return 1;
        }
        if (!"onRefresh".equals(System.getProperty("spring.context.exit"))) {
            System.out.println(wording.of(
                    "command.serve.exported",
                    "http://" + (address.contains(":") ? "[" + address + "]" : address) + ":" + port));
        }
        return SERVING;
    }

    private static Object whyOf(Throwable fault) {
        Throwable root = fault;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        return root instanceof Refusal refusal ? refusal.message() : String.valueOf(root.getMessage());
    }

    private @Nullable Message fault() throws IOException {
        InetAddress where;
        try {
            if (address.isBlank() || !address.strip().equals(address)) {
                throw new java.net.UnknownHostException(address);
            }
            where = InetAddress.getByName(address);
        } catch (java.net.UnknownHostException e) {
            return Message.of("command.serve.address-unknown", address);
        }
        if (Hosts.mustBeNamed(address) && hosts.isEmpty()) {
            return Message.of("command.serve.name-the-hosts", address);
        }
        try {
            InetAddress.getByName(proxy.isEmpty() ? "127.0.0.1" : proxy);
        } catch (java.net.UnknownHostException e) {
            return Message.of("command.serve.proxy-unknown", proxy);
        }
        try {
            OwnerOnly.folder(data);
        } catch (IOException e) {
            return Message.of("command.serve.folder-not-made", data.toString());
        }
        if (!where.isLoopbackAddress() && !PasswordFile.in(data).isSet()) {
            return Message.of("command.serve.password-first", address, data.toString());
        }
        if (port < 0 || port > 65_535) {
            return Message.of("command.serve.no-port", port);
        }
        try (ServerSocket probe = new ServerSocket()) {
            probe.setReuseAddress(true);
            probe.bind(new InetSocketAddress(where, port));
        } catch (IOException e) {
            return Message.of("command.serve.port-taken", port, address);
        }
        return FolderLock.take(data) ? null : FolderLock.taken(data);
    }
}
