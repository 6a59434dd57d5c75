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

/** Starts the web application. What can go wrong at the start is told in one line. */
@Command(name = "serve", description = "Starts the web application.")
public final class ServeCommand implements Callable<Integer> {

    /** The exit code that means: do not exit, the server runs. */
    public static final int SERVING = -1;

    @Option(
            names = "--data",
            defaultValue = "data",
            description = "Folder of the database (default: ${DEFAULT-VALUE}).")
    private Path data = Path.of("data");

    @Option(names = "--port", defaultValue = "8620", description = "Port (default: ${DEFAULT-VALUE}).")
    private int port;

    @Option(
            names = "--address",
            defaultValue = "127.0.0.1",
            description = "Address to listen on (default: ${DEFAULT-VALUE}).")
    private String address = "";

    @Option(
            names = "--host",
            paramLabel = "NAME",
            description = "A name by which people call this server; give it once for each.")
    private List<String> hosts = new ArrayList<>();

    @Option(
            names = "--proxy",
            paramLabel = "ADDRESS",
            defaultValue = "",
            description = "Address of a proxy in front of this server, whose forwarded headers are believed.")
    private String proxy = "";

    @Option(names = "--demo", description = "Make the demo project if the folder holds no project.")
    private boolean demo;

    @Option(
            names = "--standins",
            description = "Let simulated services stand in for those outside; with the demo they do.")
    private boolean standins;

    @Option(names = "--fetch", description = "Let pages be fetched from the network for gleaning; off without it.")
    private boolean fetch;

    @Option(names = "--fresh-demo", description = "Delete what the folder holds and make the demo project anew.")
    private boolean freshDemo;

    @Override
    public Integer call() throws IOException {
        String fault = fault();
        if (fault == null && freshDemo) {
            // Only now: the folder is ours alone.
            DataFolder.delete(data);
        }
        if (fault != null) {
            System.err.println("smorgas: " + fault);
            return 1;
        }
        if (demo) {
            DataFolder.setAside(data, Clock.systemUTC())
                    .ifPresent(aside ->
                            System.out.println("Another version of Smorgas made the demo's data. It is kept as " + aside
                                    + ". A new demo is made."));
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
            System.err.println("smorgas: could not start: " + rootOf(e).getMessage());
            return 1;
        }
        if (!"onRefresh".equals(System.getProperty("spring.context.exit"))) {
            System.out.println("Smorgas is served on http://" + (address.contains(":") ? "[" + address + "]" : address)
                    + ":" + port + "  (Ctrl+C ends it)");
        }
        return SERVING;
    }

    private static Throwable rootOf(Throwable fault) {
        Throwable root = fault;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        return root;
    }

    private @Nullable String fault() throws IOException {
        InetAddress where;
        try {
            if (address.isBlank() || !address.strip().equals(address)) {
                throw new java.net.UnknownHostException(address);
            }
            where = InetAddress.getByName(address);
        } catch (java.net.UnknownHostException e) {
            return "the address \"" + address + "\" is not known; use --address 127.0.0.1";
        }
        if (Hosts.mustBeNamed(address) && hosts.isEmpty()) {
            return "on " + address + " Smorgas can be reached under any name; say which are right,"
                    + " such as --host keywords.example --host 192.0.2.7";
        }
        try {
            InetAddress.getByName(proxy.isEmpty() ? "127.0.0.1" : proxy);
        } catch (java.net.UnknownHostException e) {
            return "the proxy \"" + proxy + "\" is not known; use its address, such as --proxy 127.0.0.1";
        }
        try {
            OwnerOnly.folder(data);
        } catch (IOException e) {
            return "the folder " + data + " cannot be made; choose another with --data";
        }
        if (!where.isLoopbackAddress() && !PasswordFile.in(data).isSet()) {
            return "anybody who can reach " + address + " could read your lists; set a password first with"
                    + " ./smorgas password --data " + data;
        }
        if (port < 0 || port > 65_535) {
            return "the port " + port + " does not exist; use --port with 1 to 65535";
        }
        try (ServerSocket probe = new ServerSocket()) {
            probe.setReuseAddress(true);
            probe.bind(new InetSocketAddress(where, port));
        } catch (IOException e) {
            return "port " + port + " on " + address + " is taken or not allowed; choose another with --port";
        }
        return FolderLock.take(data) ? null : FolderLock.taken(data);
    }
}
