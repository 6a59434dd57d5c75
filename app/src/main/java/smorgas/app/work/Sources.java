package smorgas.app.work;

import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.Estimation;
import smorgas.core.recipe.gather.Foraging;
import smorgas.core.source.Estimator;
import smorgas.core.source.FigureService;
import smorgas.core.source.Forager;
import smorgas.core.source.Pauses;
import smorgas.core.source.Source;
import smorgas.core.text.Refusal;

/** The services outside that can be asked for suggestions and figures, and what asks them. */
@Component
public class Sources {

    private final List<Source> sources;
    private final List<FigureService> planners;

    @Autowired
    Sources(ObjectProvider<Source> sources, ObjectProvider<FigureService> planners) {
        this(sources.orderedStream().toList(), planners.orderedStream().toList());
    }

    Sources(List<Source> sources, List<FigureService> planners) {
        this.sources = List.copyOf(sources);
        this.planners = List.copyOf(planners);
    }

    /** The planners there are; none while nothing is switched on. */
    public List<FigureService> planners() {
        return planners;
    }

    /**
     * What asks a planner for figures.
     *
     * @param keywords the tidy texts
     * @throws Refusal if there is no such planner, or nothing to ask
     */
    public ToolTask.Work estimating(Estimation wanted, List<String> keywords) {
        FigureService planner = planners.stream()
                .filter(one -> one.name().equals(wanted.planner()))
                .findFirst()
                .orElseThrow(() -> new Refusal("There is no planner of the name " + wanted.planner()));
        if (keywords.isEmpty()) {
            throw new Refusal("There is no keyword to ask for");
        }
        return new Estimate(wanted, planner, keywords);
    }

    /** Those there are; none while nothing is switched on. */
    public List<Source> all() {
        return sources;
    }

    /**
     * What asks them.
     *
     * @param left what was not asked before; empty to begin at the beginning
     * @param known what came before
     * @throws Refusal if none of the sources is there
     */
    public ToolTask.Work foraging(Foraging wanted, List<Foraging.Left> left, List<String> known) {
        List<Source> asked = sources.stream()
                .filter(source -> wanted.sources().contains(source.name()))
                .toList();
        if (asked.isEmpty()) {
            throw new Refusal("None of the sources is there: " + String.join(", ", wanted.sources()));
        }
        return new Forage(wanted, asked, left, known);
    }

    private static final class Forage implements ToolTask.Work {
        private final AtomicBoolean stopped = new AtomicBoolean();
        private final Foraging wanted;
        private final boolean simulated;
        private final Forager forager;

        Forage(Foraging wanted, List<Source> sources, List<Foraging.Left> left, List<String> known) {
            this.wanted = wanted;
            this.simulated = sources.stream().anyMatch(Source::simulated);
            this.forager = new Forager(wanted, sources, Pauses.REAL, stopped::get, left, known);
        }

        @Override
        public ToolTask.Came run() throws InterruptedException {
            Forager.Result result = forager.run();
            String told = count(result.left().size(), "query was not asked", "queries were not asked");
            return new ToolTask.Came(
                    result.list(),
                    BasketInfo.Kind.SUGGESTIONS,
                    new Asked.Foraged(wanted, simulated, result.left(), result.failed()),
                    told.isEmpty() ? "" : told + ": go on when you like.");
        }

        private static String count(int number, String one, String many) {
            return number == 0 ? "" : String.format(Locale.ENGLISH, "%,d %s", number, number == 1 ? one : many);
        }

        @Override
        public void stop() {
            stopped.set(true);
        }

        @Override
        public List<String> told() {
            return forager.progress().stream().map(Forage::line).toList();
        }

        private static String line(Forager.Progress one) {
            return String.format(
                    Locale.ENGLISH,
                    "%s, round %d: %,d of %,d queries, %,d found, %,d of them new%s%s",
                    one.source(),
                    one.round(),
                    one.asked(),
                    one.of(),
                    one.found(),
                    one.fresh(),
                    one.failed() == 0 ? "" : String.format(Locale.ENGLISH, ", %,d without an answer", one.failed()),
                    one.told().isEmpty() ? "" : "; " + one.told());
        }
    }

    private static final class Estimate implements ToolTask.Work {
        private final AtomicBoolean stopped = new AtomicBoolean();
        private final Estimation wanted;
        private final FigureService planner;
        private final Estimator estimator;

        Estimate(Estimation wanted, FigureService planner, List<String> keywords) {
            this.wanted = wanted;
            this.planner = planner;
            this.estimator = new Estimator(wanted, planner, keywords, Pauses.REAL, stopped::get);
        }

        @Override
        public ToolTask.Came run() throws InterruptedException {
            Estimator.Result result = estimator.run();
            int left = result.left().size();
            return new ToolTask.Came(
                    result.list(planner.simulated()),
                    BasketInfo.Kind.ESTIMATES,
                    new Asked.Estimated(wanted, planner.simulated(), result.left(), result.failed()),
                    left == 0
                            ? ""
                            : String.format(
                                    Locale.ENGLISH,
                                    "%,d %s not answered: go on when you like.",
                                    left,
                                    left == 1 ? "keyword was" : "keywords were"));
        }

        @Override
        public void stop() {
            stopped.set(true);
        }

        @Override
        public List<String> told() {
            Estimator.Progress now = estimator.progress();
            return List.of(String.format(
                    Locale.ENGLISH,
                    "%s: %,d of %,d pieces, figures of %,d keywords%s%s",
                    planner.name(),
                    now.asked(),
                    now.of(),
                    now.found(),
                    now.failed() == 0 ? "" : String.format(Locale.ENGLISH, ", %,d without an answer", now.failed()),
                    now.told().isEmpty() ? "" : "; " + now.told()));
        }
    }
}
