package smorgas.bench;

import java.io.IOException;
import java.nio.file.Path;

/** How fast pages are while much is asked for in the background. */
final class Suggestions {

    private Suggestions() {}

    /** Pages of the demo while some 2,000 queries are asked at each of its sources. */
    static void run(String script, Path folder) throws IOException, InterruptedException {
        try (Server server = new Server(script, folder.resolve("suggestions"), "--demo")) {
            server.awaitPage();
            String[] pages = {"gather", "fold", "sift", "sift?sort=-searches", "group", "serve"};
            for (int i = 0; i < 60; i++) {
                server.get("/projects/1/" + pages[i % pages.length]);
            }
            ask(server);
            long begun = System.nanoTime();
            Timed timed = new Timed();
            String errands = server.get("/projects/1/errands").body();
            if (!errands.contains("of 1,998 queries")) {
                throw new IOException("nothing is asked: " + errands);
            }
            for (int i = 0; server.get("/projects/1/errands").body().contains("Stop, and keep"); i++) {
                long asked = System.nanoTime();
                server.get("/projects/1/" + pages[i % pages.length]);
                long taken = timed.ended(i, asked);
                if (taken > 300) {
                    System.out.printf(
                            "%s took %,d ms, %,d ms after the first query%n",
                            pages[i % pages.length], taken, (asked - begun) / 1_000_000);
                }
            }
            System.out.printf(
                    "%nSuggestions, 1,998 queries at each of two stand-ins, %,d ms; %d pages of the demo meanwhile, seen by the client:"
                            + " %s, most %d ms%n",
                    (System.nanoTime() - begun) / 1_000_000, timed.size(), timed, timed.most());
        }
    }

    private static void ask(Server server) throws IOException, InterruptedException {
        StringBuilder seeds = new StringBuilder();
        for (int seed = 0; seed < 74; seed++) {
            seeds.append("bee%0A".replace("bee", "seed" + seed));
        }
        String sources = "&sources=Ottermere+(simulated)&sources=Quillfen+(simulated)";
        String token = server.token();
        server.send(
                "/projects/1/suggestions/start",
                "application/x-www-form-urlencoded",
                "seeds=" + seeds
                        + "&around=ALONE&around=LETTERS_BEHIND&letters=a+b+c+d+e+f+g+h+i+j+k+l+m+n+o+p+q+r+s+t+u+v+w+x+y+z"
                        + "&words=&rounds=1&most=2000&language=en&place=&name=Bench" + sources,
                token);
    }
}
