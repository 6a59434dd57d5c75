package smorgas.app.work;

import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.gather.Estimation;
import smorgas.core.recipe.gather.SuggestionSettings;
import smorgas.core.source.Estimator;
import smorgas.core.source.FigureService;
import smorgas.core.source.Pauses;
import smorgas.core.source.Source;
import smorgas.core.source.SuggestionFinder;
import smorgas.core.text.Message;
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
                .orElseThrow(() -> new Refusal("work.sources.planner-name", wanted.planner()));
        if (keywords.isEmpty()) {
            throw new Refusal("work.sources.keyword-ask");
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
    public ToolTask.Work suggestions(
            SuggestionSettings wanted, List<SuggestionSettings.Left> left, List<String> known) {
        List<Source> asked = sources.stream()
                .filter(source -> wanted.sources().contains(source.name()))
                .toList();
        if (asked.isEmpty()) {
            throw new Refusal("work.sources.none-sources", List.copyOf(wanted.sources()));
        }
        return new Suggestions(wanted, asked, left, known);
    }

    private static final class Suggestions implements ToolTask.Work {
        private final AtomicBoolean stopped = new AtomicBoolean();
        private final SuggestionSettings wanted;
        private final boolean simulated;
        private final SuggestionFinder finder;

        Suggestions(
                SuggestionSettings wanted,
                List<Source> sources,
                List<SuggestionSettings.Left> left,
                List<String> known) {
            this.wanted = wanted;
            this.simulated = sources.stream().anyMatch(Source::simulated);
            this.finder = new SuggestionFinder(wanted, sources, Pauses.REAL, stopped::get, left, known);
        }

        @Override
        public ToolTask.Came run() throws InterruptedException {
            SuggestionFinder.Result result = finder.run();
            int left = result.left().size();
            return new ToolTask.Came(
                    result.list(),
                    BasketInfo.Kind.SUGGESTIONS,
                    new Asked.Suggested(wanted, simulated, result.left(), result.failed()),
                    left == 0 ? Message.NONE : Message.of("work.sources.go-on-when-you", left));
        }

        @Override
        public void stop() {
            stopped.set(true);
        }

        @Override
        public List<Message> told() {
            return finder.progress().stream().map(Suggestions::line).toList();
        }

        private static Message line(SuggestionFinder.Progress one) {
            return Message.of(
                    "work.sources.round-queries-found-them",
                    one.source(),
                    one.round(),
                    one.asked(),
                    one.of(),
                    one.found(),
                    one.fresh(),
                    (one.failed() == 0 ? Message.NONE : Message.of("work.sources.without-answer", one.failed())),
                    (one.told().isEmpty() ? Message.NONE : Message.of("work.sources.further", one.told())));
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
                    left == 0 ? Message.NONE : Message.of("work.sources.keyword-answered-go-on", left));
        }

        @Override
        public void stop() {
            stopped.set(true);
        }

        @Override
        public List<Message> told() {
            Estimator.Progress now = estimator.progress();
            return List.of(Message.of(
                    "work.sources.pieces-figures-keywords",
                    planner.name(),
                    now.asked(),
                    now.of(),
                    now.found(),
                    (now.failed() == 0 ? Message.NONE : Message.of("work.sources.without-answer", now.failed())),
                    (now.told().isEmpty() ? Message.NONE : Message.of("work.sources.further", now.told()))));
        }
    }
}
