package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.Parameter;
import java.lang.reflect.RecordComponent;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.core.MethodParameter;
import org.springframework.core.convert.ConversionService;
import org.springframework.core.convert.TypeDescriptor;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * No request, however crafted, is answered 500, takes ten seconds or keeps a project shut: every route of the application
 * with values that are missing, of another type, huge or hostile. {@code ./smorgas bench faults} sends twenty thousand.
 */
class RoutesIT {

    private static final int REQUESTS = "full".equals(System.getProperty("smorgas.faults")) ? 20_400 : 240;

    /** What many acts have made of a project makes every request slower. */
    private static final int OF_A_SERVER = 600;

    /** On a machine with nothing else to do; a short run may share it. */
    private static final Duration TOO_SLOW =
            Duration.ofSeconds("full".equals(System.getProperty("smorgas.faults")) ? 10 : 60);

    /** After so many requests all pages of the project are looked at. */
    private static final int CHECKED_EVERY = "full".equals(System.getProperty("smorgas.faults")) ? 10 : 30;

    @TempDir
    private Path data;

    record Route(String method, String path, List<Parameter> parameters) {}

    private final Random random = new Random(11);

    /** All addresses that the application answers. */
    static List<Route> routes(Running server) {
        List<Route> routes = new ArrayList<>();
        server.context()
                .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
                .getHandlerMethods()
                .forEach((info, method) -> {
                    if (method.getBeanType().getName().startsWith("smorgas")) {
                        for (String path : paths(info)) {
                            Set<RequestMethod> methods =
                                    info.getMethodsCondition().getMethods();
                            routes.add(new Route(
                                    methods.contains(RequestMethod.POST) ? "POST" : "GET",
                                    path,
                                    List.of(method.getMethod().getParameters())));
                        }
                    }
                });
        routes.sort(java.util.Comparator.comparing(Route::path).thenComparing(Route::method));
        return routes;
    }

    private static Set<String> paths(RequestMappingInfo info) {
        return info.getPathPatternsCondition() == null
                ? info.getDirectPaths()
                : info.getPathPatternsCondition().getPatternValues();
    }

    /** Names of fields in the templates, for the methods that take any. */
    private static List<String> fieldsOfTemplates() throws IOException {
        Set<String> names = new TreeSet<>(List.of("q", "page", "sort", "status", "least", "most", "condition", "rule"));
        try (Stream<Path> files = Files.walk(Path.of("src/main/resources/templates"))) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Matcher name = Pattern.compile("\\sname=\"(\\w+)\"").matcher(Files.readString(file));
                while (name.find()) {
                    names.add(name.group(1));
                }
            }
        }
        return List.copyOf(names);
    }

    private String value(Class<?> type) {
        if (type.isEnum() && random.nextInt(3) > 0) {
            Object[] constants = type.getEnumConstants();
            return String.valueOf(constants[random.nextInt(constants.length)]);
        }
        return HostileValues.ALL.get(random.nextInt(HostileValues.ALL.size()));
    }

    /** Some of the fields that a route takes, and some that it does not. */
    private Map<String, String> fields(Route route, List<String> any) {
        Map<String, String> fields = new HashMap<>();
        for (Parameter parameter : route.parameters()) {
            RequestParam asked = parameter.getAnnotation(RequestParam.class);
            if (asked != null && !Map.class.isAssignableFrom(parameter.getType())) {
                String name = asked.name().isEmpty()
                        ? asked.value().isEmpty() ? parameter.getName() : asked.value()
                        : asked.name();
                if (random.nextInt(12) > 0) {
                    fields.put(name, value(parameter.getType()));
                }
            } else if (parameter.isAnnotationPresent(ModelAttribute.class)
                    && parameter.getType().isRecord()) {
                for (RecordComponent field : parameter.getType().getRecordComponents()) {
                    if (random.nextInt(12) > 0) {
                        fields.put(field.getName(), value(field.getType()));
                    }
                }
            } else if (parameter.getType().getName().startsWith("org.springframework.util.MultiValueMap")
                    || !parameter.getType().isPrimitive() && asked == null) {
                for (int i = random.nextInt(8); i > 0; i--) {
                    fields.put(any.get(random.nextInt(any.size())), value(String.class));
                }
            }
        }
        if (random.nextInt(4) == 0) {
            fields.put(any.get(random.nextInt(any.size())), value(String.class));
        }
        return fields;
    }

    private String path(Route route, long project) {
        String path =
                route.path().replace("{id}", random.nextInt(40) == 0 ? value(long.class) : String.valueOf(project));
        return Pattern.compile("\\{\\w+}")
                .matcher(path)
                .replaceAll(match -> random.nextInt(3) == 0
                        ? Matcher.quoteReplacement(encoded(value(long.class)))
                        : String.valueOf(1 + random.nextInt(4)))
                .replace(" ", "%20");
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private long newProject(Visitor visitor) {
        long project = visitor.project("Routes");
        visitor.upload(
                "/projects/" + project + "/gather",
                Map.of(
                        "list.csv",
                        "keyword,searches,cpc\nbee hive,100,0.5\nbee hives stand,50,0.2\nhive stand oak,20,\nbee suit,5,1\n"
                                .getBytes(StandardCharsets.UTF_8)));
        return project;
    }

    /** What came of crafted requests. */
    private static final class Came {
        private final Set<String> faults = new LinkedHashSet<>();
        private final List<String> slow = new ArrayList<>();
        private int hungUp;
    }

    @Test
    void noRequestIsAnswered500OrKeepsAProjectShut() throws IOException {
        Came came = new Came();
        int routes = 0;
        for (int sent = 0; sent < REQUESTS; sent += OF_A_SERVER) {
            try (Running server = Running.alone(data.resolve("from-" + sent), 0)) {
                List<Route> all = routes(server);
                assertThat(all).hasSizeGreaterThan(70);
                routes = all.size();
                send(server, all, came);
            }
        }
        System.out.printf(
                Locale.ENGLISH,
                "Faults: %,d crafted requests to %d routes, %d answered 500 and more, %d took too long, %d hung up on%n",
                REQUESTS,
                routes,
                came.faults.size(),
                came.slow.size(),
                came.hungUp);
        assertThat(came.faults).isEmpty();
        assertThat(came.slow).isEmpty();
        assertThat(came.hungUp).isLessThan(1 + REQUESTS / 200);
    }

    private void send(Running server, List<Route> routes, Came came) throws IOException {
        Visitor visitor = new Visitor(server);
        List<String> any = fieldsOfTemplates();
        long project = newProject(visitor);
        for (int i = 0; i < Math.min(OF_A_SERVER, REQUESTS); i++) {
            Route route = routes.get(i < routes.size() ? i : random.nextInt(routes.size()));
            Map<String, String> fields = fields(route, any);
            String path;
            try {
                path = path(route, project);
                java.net.URI.create("http://127.0.0.1" + path);
            } catch (IllegalArgumentException e) {
                continue;
            }
            long begun = System.nanoTime();
            HttpResponse<String> answer;
            try {
                answer = send(visitor, route, path, fields);
            } catch (UncheckedIOException e) {
                // The server may hang up on a request that is none; that it goes on is seen at the next.
                came.hungUp++;
                visitor = new Visitor(server);
                visitor.get("/projects");
                continue;
            }
            if (System.nanoTime() - begun > TOO_SLOW.toNanos()) {
                came.slow.add(route.method() + " " + path + " " + fields);
            }
            if (answer.statusCode() >= 500) {
                came.faults.add(route.method() + " " + route.path() + " " + fields + ": " + answer.statusCode() + " "
                        + answer.body().replaceAll("(?s)<head.*?</head>|<[^>]*>|\\s+", " "));
            }
            if (i % CHECKED_EVERY == CHECKED_EVERY - 1
                    && !open(visitor, project, route.method() + " " + path + " " + fields, came)) {
                project = newProject(visitor);
            }
        }
    }

    /** Whether all pages of the project are answered. */
    private static boolean open(Visitor visitor, long project, String after, Came came) {
        for (String step : List.of("gather", "fold", "sift", "group", "serve", "history")) {
            HttpResponse<String> page = visitor.get("/projects/" + project + "/" + step);
            if (page.statusCode() >= 500) {
                came.faults.add("shut: " + step + " after " + after);
            }
            if (page.statusCode() != 200) {
                return false;
            }
        }
        return true;
    }

    /** What code somewhere splits at, and what a list of fields could be taken apart at. */
    private static final List<String> WITH_SEPARATORS = List.of(
            "a, b",
            "a,b",
            ",",
            "0,9",
            "say \"a\", b",
            "a\nb",
            "a\r\nb",
            "a;b",
            "a | b",
            "a\tb",
            "a b",
            "a/b",
            "a.b",
            "a-b",
            "[a, b]");

    @Test
    void aFieldThatIsSentOnceIsOneValueOnEveryRoute() {
        Running server = Running.shared();
        ConversionService fields = server.context().getBean("mvcConversionService", ConversionService.class);
        Set<String> lists = new TreeSet<>();
        for (Route route : routes(server)) {
            for (Parameter parameter : route.parameters()) {
                TypeDescriptor type = new TypeDescriptor(MethodParameter.forParameter(parameter));
                TypeDescriptor element = type.getElementTypeDescriptor();
                if (parameter.isAnnotationPresent(RequestParam.class)
                        && element != null
                        && element.getType() == String.class) {
                    lists.add(route.path() + " " + parameter.getName());
                    assertThat(type.isCollection())
                            .as("%s: lists, not arrays", route.path())
                            .isTrue();
                    for (String value : WITH_SEPARATORS) {
                        assertThat((Collection<?>) fields.convert(value, TypeDescriptor.valueOf(String.class), type))
                                .as("%s %s", route.path(), parameter.getName())
                                .isEqualTo(List.of(value));
                    }
                    assertThat((Collection<?>) fields.convert("", TypeDescriptor.valueOf(String.class), type))
                            .isEmpty();
                }
            }
        }
        assertThat(lists).hasSizeGreaterThan(15).contains("/projects/{id}/tray/pick keyword");
    }

    @Test
    void aKeywordWithACommaPicksNoOthers() {
        Running server = Running.shared();
        Visitor visitor = new Visitor(server);
        long id = visitor.project("Commas");
        List<String> keywords = List.of("oak, pine", "oak", "pine", "oak; pine", "oak 1,5 m, elm", "elm");
        String list = keywords.stream()
                .map(keyword -> "\"" + keyword.replace("\"", "\"\"") + "\"")
                .collect(Collectors.joining("\n", "keyword\n", "\n"));
        visitor.upload("/projects/" + id + "/gather", Map.of("list.csv", list.getBytes(StandardCharsets.UTF_8)));
        for (String keyword : keywords) {
            String tab = "tab-" + keywords.indexOf(keyword);
            visitor.post("/projects/" + id + "/tray/pick", Map.of("keyword", keyword), "X-Tab", tab);
            assertThat(visitor.get("/projects/" + id + "/tray.tsv", "X-Tab", tab)
                            .body()
                            .lines()
                            .skip(1))
                    .as(keyword)
                    .hasSize(1);
        }
        visitor.post("/projects/" + id + "/judge/tray", Map.of("to", "DROPPED"), "X-Tab", "tab-0");
        assertThat(visitor.get("/projects/" + id + "/sift?status=DROPPED").body())
                .contains("data-k=\"oak, pine\"")
                .doesNotContain("data-k=\"oak\"", "data-k=\"pine\"");
    }

    private HttpResponse<String> send(Visitor visitor, Route route, String path, Map<String, String> fields) {
        boolean files = route.parameters().stream()
                .anyMatch(p -> p.getParameterizedType().getTypeName().contains("MultipartFile"));
        if (route.method().equals("GET")) {
            StringBuilder query = new StringBuilder("?");
            fields.forEach((name, value) ->
                    query.append(name).append('=').append(encoded(value)).append('&'));
            return visitor.get(path + query, "X-Tab", random.nextBoolean() ? "t1" : "");
        } else if (files && random.nextBoolean()) {
            byte[] noise = value(MultipartFile.class).getBytes(StandardCharsets.UTF_8);
            String field = route.parameters().stream()
                    .filter(p -> p.getParameterizedType().getTypeName().contains("MultipartFile"))
                    .map(Parameter::getName)
                    .findFirst()
                    .orElse("files");
            return visitor.upload(path, field, Map.of("a.csv", Arrays.copyOf(noise, noise.length)), fields);
        }
        if (random.nextInt(10) == 0) {
            fields.put("version", value(long.class));
        }
        return visitor.post(path, fields, "X-Tab", "t1");
    }
}
