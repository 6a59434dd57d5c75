package smorgas.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Servers of their own: one that is started again, and one with a password. */
class RestartIT {

    @Test
    void theNextActOfAnOpenTabWorksAfterARestart(@TempDir Path data) {
        Running first = Running.alone(data, 0);
        Visitor tab = new Visitor(first);
        tab.get("/projects/1/sift");
        long version = tab.version();
        first.close();
        try (Running second = Running.alone(data, first.port())) {
            assertThat(second.port()).isEqualTo(first.port());
            String answer = tab.post("/projects/1/judge/row", Map.of("keyword", "bee brush", "to", "KEPT", "row", "3"))
                    .body();
            assertThat(answer).contains("Kept &quot;bee brush&quot;");
            assertThat(tab.version()).isEqualTo(version + 1);
            tab.post("/projects/1/undo", Map.of());
            assertThat(tab.version()).isEqualTo(version + 2);
        }
    }

    @Test
    void withAPasswordSetNobodyElseGetsIn(@TempDir Path data) {
        InputStream in = System.in;
        System.setIn(new java.io.ByteArrayInputStream("swarm in may\n".getBytes(StandardCharsets.UTF_8)));
        try {
            assertThat(smorgas.app.Main.line(smorgas.core.text.Catalogue.english())
                            .execute("password", "--data", data.toString()))
                    .isZero();
        } finally {
            System.setIn(in);
        }
        try (Running guarded = Running.alone(data, 0)) {
            Visitor somebody = new Visitor(guarded);
            assertThat(somebody.get("/projects").statusCode()).isEqualTo(401);
            assertThat(somebody.get("/assets/css/tokens.css").statusCode()).isEqualTo(401);
            assertThat(somebody.get("/projects", "Authorization", basic("smorgas:swarm in june"))
                            .statusCode())
                    .isEqualTo(401);
            HttpResponse<String> page = somebody.get("/projects", "Authorization", basic("smorgas:swarm in may"));
            assertThat(page.statusCode()).isEqualTo(200);
            assertThat(page.body()).contains("Beekeeping shop");
        }
    }

    private static String basic(String userAndPassword) {
        return "Basic "
                + java.util.Base64.getEncoder().encodeToString(userAndPassword.getBytes(StandardCharsets.UTF_8));
    }
}
