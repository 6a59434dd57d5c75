package smorgas.app.config;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;

/** Answers a request before any page of ours sees it: a page of errors would ask for the password and be refused itself. */
final class Refused {

    private Refused() {}

    static void with(int status, String sentence, HttpServletResponse response) throws IOException {
        response.setStatus(status);
        response.setContentType("text/plain");
        response.setCharacterEncoding(StandardCharsets.UTF_8);
        response.getWriter().println(sentence);
    }
}
