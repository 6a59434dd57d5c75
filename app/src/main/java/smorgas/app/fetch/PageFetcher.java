package smorgas.app.fetch;

import crawlercommons.robots.BaseRobotRules;
import crawlercommons.robots.SimpleRobotRules;
import crawlercommons.robots.SimpleRobotRulesParser;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import org.apache.hc.client5.http.DnsResolver;
import org.apache.hc.client5.http.classic.methods.HttpGet;
import org.apache.hc.client5.http.config.ConnectionConfig;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.client5.http.impl.io.PoolingHttpClientConnectionManagerBuilder;
import org.apache.hc.core5.http.ClassicHttpResponse;
import org.apache.hc.core5.http.Header;
import org.apache.hc.core5.util.Timeout;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * Fetches pages, one after the other. Only {@code http} and {@code https} to public addresses, which is looked at where the
 * connection is made, so that neither a redirect nor a name that changes its address leads past it; bounded in size, time and
 * number; as the robots rules of a site allow (RFC 9309); nothing is sent but the address and who asks.
 */
public final class PageFetcher implements AutoCloseable {

    /** The most pages of one errand. */
    public static final int MOST_PAGES = 200;

    private static final String AGENT = "smorgas";

    private static final int MOST_REDIRECTS = 5;
    private static final int LARGEST = 10_000_000;
    /** A site's rules are read so far at least (RFC 9309, 2.5). */
    private static final int LARGEST_RULES = 512_000;

    private static final long MOST_DELAY_MILLIS = 10_000;
    private static final Set<String> TYPES = Set.of("text/html", "application/xhtml+xml", "text/plain");

    private final Limits limits;
    private final CloseableHttpClient client;
    private final Map<String, Rules> rules = new HashMap<>();
    private final Map<String, Long> lastAsked = new HashMap<>();

    /** How long things may take: to connect, a page in all, and between two pages of one site. */
    public record Limits(Duration connect, Duration page, Duration between) {
        static final Limits USUAL = new Limits(Duration.ofSeconds(5), Duration.ofSeconds(20), Duration.ofMillis(500));
    }

    public PageFetcher() {
        this(Limits.USUAL, PublicAddresses::isPublic, InetAddress::getAllByName);
    }

    /** Names to addresses. */
    interface Names {
        InetAddress[] of(String host) throws UnknownHostException;
    }

    PageFetcher(Limits limits, Predicate<InetAddress> mayBeAsked, Names names) {
        this.limits = limits;
        this.client = HttpClients.custom()
                .setConnectionManager(PoolingHttpClientConnectionManagerBuilder.create()
                        .setDnsResolver(new Guard(mayBeAsked, names))
                        .setDefaultConnectionConfig(ConnectionConfig.custom()
                                .setConnectTimeout(Timeout.of(limits.connect()))
                                .setSocketTimeout(Timeout.of(limits.page()))
                                .build())
                        .build())
                .setDefaultRequestConfig(RequestConfig.custom()
                        .setRedirectsEnabled(false)
                        .setResponseTimeout(Timeout.of(limits.page()))
                        .setConnectionRequestTimeout(Timeout.of(limits.page()))
                        .build())
                .setUserAgent(AGENT + " (reads pages for its user)")
                .disableCookieManagement()
                .disableAuthCaching()
                .disableAutomaticRetries()
                .disableRedirectHandling()
                .build();
    }

    /** Looks at the very addresses that are connected to. */
    private record Guard(Predicate<InetAddress> mayBeAsked, Names names) implements DnsResolver {
        @Override
        public InetAddress[] resolve(String host) throws UnknownHostException {
            InetAddress[] addresses = names.of(host);
            if (addresses.length == 0 || !Arrays.stream(addresses).allMatch(mayBeAsked)) {
                throw new NotPublic(host);
            }
            return addresses;
        }

        @Override
        public String resolveCanonicalHostname(String host) {
            return host;
        }
    }

    private static final class NotPublic extends UnknownHostException {
        private static final long serialVersionUID = 1L;

        NotPublic(String host) {
            super(host);
        }
    }

    /**
     * A page.
     *
     * @throws Refusal with a sentence that says why it cannot be had
     * @throws InterruptedException if it is not waited for
     */
    public byte[] page(String address) throws InterruptedException {
        Set<URI> been = new HashSet<>();
        URI uri = uri(address);
        for (int redirects = 0; redirects <= MOST_REDIRECTS; redirects++) {
            if (!been.add(uri)) {
                throw new Refusal("fetch.page-fetcher.leads-circle", address);
            }
            requireAllowed(uri);
            rest(uri);
            Answer answer = ask(uri, LARGEST, true);
            if (answer.to().isEmpty()) {
                if (answer.status() != 200) {
                    throw new Refusal("fetch.page-fetcher.answers-with", uri, answer.status());
                }
                return answer.bytes();
            }
            uri = uri(uri, answer.to());
        }
        throw new Refusal("fetch.page-fetcher.leads-on-on", address);
    }

    private static URI uri(String address) {
        String written = address.strip();
        try {
            URI uri = new URI(written).normalize();
            String scheme = uri.getScheme() == null ? "" : uri.getScheme().toLowerCase(Locale.ROOT);
            if (!scheme.equals("http") && !scheme.equals("https")
                    || uri.getHost() == null
                    || uri.getUserInfo() != null) {
                throw new Refusal("fetch.page-fetcher.no-address", written);
            }
            // As it was written, but for what stands behind a number sign: percent signs mean what they mean to the
            // site.
            return new URI(scheme + "://" + uri.getHost() + (uri.getPort() < 0 ? "" : ":" + uri.getPort())
                    + (uri.getRawPath().isEmpty() ? "/" : uri.getRawPath())
                    + (uri.getRawQuery() == null ? "" : "?" + uri.getRawQuery()));
        } catch (URISyntaxException e) {
            throw new Refusal(Message.of("fetch.page-fetcher.no-address", written), e);
        }
    }

    /** Where a page leads on, which may be written by anybody. */
    private static URI uri(URI from, String to) {
        try {
            return uri(from.resolve(to).toString());
        } catch (IllegalArgumentException e) {
            throw new Refusal(Message.of("fetch.page-fetcher.leads-which", from, to), e);
        }
    }

    private static String site(URI uri) {
        return uri.getScheme() + "://" + uri.getAuthority();
    }

    /** @param says why what they do not allow is not read: the site says so, or cannot be asked */
    private record Rules(BaseRobotRules rules, Message says) {

        static Rules told(BaseRobotRules rules) {
            return new Rules(rules, Message.of("fetch.page-fetcher.says-site"));
        }

        static Rules untold(Message why) {
            return new Rules(
                    new SimpleRobotRules(SimpleRobotRules.RobotRulesMode.ALLOW_NONE),
                    Message.of("fetch.page-fetcher.long-site-does-tell", why));
        }
    }

    private void requireAllowed(URI uri) throws InterruptedException {
        Rules known = rules.get(site(uri));
        if (known == null) {
            known = readRules(uri);
            rules.put(site(uri), known);
        }
        if (!known.rules().isAllowed(uri.toString())) {
            throw new Refusal("fetch.page-fetcher.read-programs", uri, known.says());
        }
    }

    /** RFC 9309, 2.3.1: a site without rules allows all; one that cannot tell them allows nothing. */
    private Rules readRules(URI uri) throws InterruptedException {
        URI place = URI.create(site(uri) + "/robots.txt");
        for (int redirects = 0; redirects <= MOST_REDIRECTS; redirects++) {
            Answer answer;
            try {
                answer = ask(place, LARGEST_RULES, false);
            } catch (Refusal refused) {
                if (refused.getCause() instanceof NotPublic) {
                    throw refused;
                }
                return Rules.untold(refused.message());
            }
            if (answer.to().isEmpty()) {
                return answer.status() >= 500
                        ? Rules.untold(Message.of("fetch.page-fetcher.answers-with-2", place, answer.status()))
                        : Rules.told(
                                answer.status() >= 400
                                        ? new SimpleRobotRules(SimpleRobotRules.RobotRulesMode.ALLOW_ALL)
                                        : new SimpleRobotRulesParser()
                                                .parseContent(
                                                        place.toString(),
                                                        answer.bytes(),
                                                        "text/plain",
                                                        List.of(AGENT)));
            }
            place = uri(place, answer.to());
        }
        return Rules.told(new SimpleRobotRules(SimpleRobotRules.RobotRulesMode.ALLOW_ALL));
    }

    private void rest(URI uri) throws InterruptedException {
        Rules known = rules.get(site(uri));
        long delay =
                known == null ? 0 : Math.min(MOST_DELAY_MILLIS, known.rules().getCrawlDelay());
        long pause = Math.max(limits.between().toMillis(), delay);
        Long last = lastAsked.put(site(uri), System.nanoTime());
        if (last != null) {
            long gone = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - last);
            if (gone < pause) {
                Thread.sleep(pause - gone);
                lastAsked.put(site(uri), System.nanoTime());
            }
        }
    }

    /** @param to where it leads on; empty if it does not */
    private record Answer(int status, byte[] bytes, String to) {}

    private Answer ask(URI uri, int largest, boolean page) {
        HttpGet get = new HttpGet(uri);
        long begun = System.nanoTime();
        // A site that sends a byte now and then never runs into the time of a single read.
        CompletableFuture<Void> over = new CompletableFuture<>();
        over.orTimeout(limits.page().toMillis(), TimeUnit.MILLISECONDS).exceptionally(late -> {
            get.abort();
            return null;
        });
        try {
            return client.execute(get, response -> answer(uri, response, largest, page));
        } catch (NotPublic e) {
            throw new Refusal(Message.of("fetch.page-fetcher.public-address-such-asked", uri), e);
        } catch (UnknownHostException e) {
            throw new Refusal(Message.of("fetch.page-fetcher.there-is-no-site", uri.getHost()), e);
        } catch (IOException e) {
            throw new Refusal(
                    System.nanoTime() - begun >= limits.page().toNanos()
                            ? Message.of("fetch.page-fetcher.did-answer-time", uri)
                            : Message.of("fetch.page-fetcher.could-read-site-gave", uri),
                    e);
        } finally {
            over.complete(null);
        }
    }

    private static Answer answer(URI uri, ClassicHttpResponse response, int largest, boolean page) throws IOException {
        int status = response.getCode();
        Header to = response.getFirstHeader("Location");
        if (status >= 300 && status < 400 && to != null) {
            return new Answer(status, new byte[0], to.getValue());
        }
        if (response.getEntity() == null) {
            return new Answer(status, new byte[0], "");
        }
        String type = String.valueOf(response.getEntity().getContentType());
        String bare = type.replaceAll(";.*", "").strip().toLowerCase(Locale.ROOT);
        if (page && status == 200 && !TYPES.contains(bare)) {
            throw new Refusal("fetch.page-fetcher.is-no-page-it", uri, bare);
        }
        return new Answer(status, bounded(uri, response.getEntity().getContent(), largest, page), "");
    }

    private static byte[] bounded(URI uri, InputStream in, int largest, boolean whole) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] some = new byte[16_384];
        for (int count = in.read(some); count >= 0; count = in.read(some)) {
            if (out.size() + count > largest) {
                if (whole) {
                    throw new Refusal("fetch.page-fetcher.larger-than-page-more", uri);
                }
                break;
            }
            out.write(some, 0, count);
        }
        return out.toByteArray();
    }

    @Override
    public void close() throws IOException {
        client.close();
    }
}
