package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.store.Pantry;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.ConditionKind;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.recipe.value.Intent;
import smorgas.core.recipe.value.PrioritySettings;
import smorgas.core.sift.Matcher;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** The page on which a condition is built by picking, for a rule or a view, and says what it would do. */
@Controller
class BuildController {

    private static final int SAMPLES = 40;

    /**
     * A row of the form.
     *
     * @param at its place among the rows of all parts
     * @param asks what its fields are: text, numbers, choice or nothing
     * @param choices label by value, if one is to be chosen
     */
    record RowView(int at, Built.Row row, String asks, Map<String, Message> choices) {}

    /** A part of the form. */
    record PartView(Built.How how, List<RowView> rows) {}

    /** Things to choose from under one heading: label by value. */
    record Choices(Message heading, Map<String, Message> labels) {}

    private final Frames frames;
    private final Pantry pantry;

    BuildController(Frames frames, Pantry pantry) {
        this.frames = frames;
        this.pantry = pantry;
    }

    /** The form, and what is wrong with it. */
    record BuildPage(
            List<PartView> parts,
            int rule,
            Message changedRule,
            String tagName,
            Built.How[] hows,
            List<Choices> kinds,
            List<String> tags,
            Intent[] intents,
            List<Message> faults,
            @Nullable Condition condition) {}

    /** The form, empty, as it was sent, with what is on view, or with a rule to be changed. */
    @GetMapping("/projects/{id}/rules/build")
    String page(
            @PathVariable long id,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestParam(defaultValue = "0") int rule,
            Model model) {
        OpenProject project = frames.open(id);
        Snapshot snapshot = project.snapshot();
        Board board = snapshot.board();
        Decimals decimals = Decimals.of(project.language());
        Optional<Rule> changed = board.recipe().sifting().rules().stream()
                .filter(known -> known.number() == rule)
                .findFirst();
        Built built = built(fields, changed, decimals);
        Built.Read read = built.read(decimals);
        Shown.in(
                model,
                new BuildPage(
                        views(built, values(snapshot)),
                        changed.map(Rule::number).orElse(0),
                        changed.map(Rule::sentence).orElse(Message.NONE),
                        changed.map(Rule::does)
                                .filter(Rule.Tags.class::isInstance)
                                .map(does -> ((Rule.Tags) does).tag())
                                .orElse(""),
                        Built.How.values(),
                        kinds(board),
                        board.statuses().tags().all(),
                        Intent.values(),
                        read.faults(),
                        read.condition().orElse(null)));
        read.condition().ifPresent(condition -> effect(condition, board, model));
        frames.frame(model, id, snapshot, Step.SIFT);
        return "sift/build";
    }

    private static List<PartView> views(Built built, Map<String, Map<String, Message>> values) {
        List<PartView> parts = new ArrayList<>();
        int at = 0;
        for (Built.Part part : built.parts()) {
            List<RowView> rows = new ArrayList<>();
            for (Built.Row row : part.rows()) {
                Map<String, Message> choices = values.getOrDefault(row.kind(), Map.of());
                String asks = asks(row.kind());
                rows.add(new RowView(at++, row, asks, choices));
            }
            parts.add(new PartView(part.how(), rows));
        }
        return parts;
    }

    /** As the form knows it: text, numbers, a choice, or nothing. */
    private static String asks(String key) {
        return ConditionKind.form(key)
                .map(form -> switch (form.asks()) {
                    case TEXT, PATTERN -> "text";
                    case NUMBERS -> "numbers";
                    case NOTHING -> "nothing";
                    case LIST, BASKET, TAG, SCRIPT, STATUS, INTENT, PRIORITY -> "choice";
                })
                .orElse("nothing");
    }

    private static Built built(MultiValueMap<String, String> fields, Optional<Rule> changed, Decimals decimals) {
        if (fields.containsKey("how")) {
            return Built.of(fields);
        }
        if (changed.isPresent()) {
            return Built.of(changed.get().when(), decimals);
        }
        SiftQuery query = SiftQuery.of(fields.toSingleValueMap());
        Condition onView = query.condition();
        return onView.within().isEmpty() ? Built.empty() : Built.of(flat(onView), decimals);
    }

    /** A condition given as such is one of several parts then: its own parts stand beside them. */
    private static Condition flat(Condition onView) {
        List<Condition> parts = new ArrayList<>();
        for (Condition part : onView.within()) {
            if (part instanceof Condition.AllOf all) {
                parts.addAll(all.parts());
            } else {
                parts.add(part);
            }
        }
        return new Condition.AllOf(parts);
    }

    /** What the condition finds. */
    record Effect(
            Message sentence,
            Message counts,
            String showUrl,
            List<Message> doubts,
            List<Offer.Act> acts,
            List<String> samples) {}

    private void effect(Condition condition, Board board, Model model) {
        Matcher matcher = matcher(condition, board);
        BitSet found = matcher.match(condition, board.beyond());
        List<String> samples = new ArrayList<>();
        for (int keyword : board.orders().by(Figure.SEARCHES, true)) {
            if (found.get(keyword) && samples.size() < SAMPLES) {
                samples.add(board.keywords().text(keyword));
            }
        }
        Shown.in(
                model,
                new Effect(
                        condition.sentence(),
                        Offer.counts(found, board),
                        SiftQuery.urlOf(condition),
                        matcher.doubts(condition),
                        condition.followsFromRules() ? List.of() : Offer.acts(board, matcher, condition),
                        samples));
    }

    /** One that knows the lists of the pantry that the condition names and the project has not taken yet. */
    private Matcher matcher(Condition condition, Board board) {
        Map<String, WordList> further = new LinkedHashMap<>();
        condition
                .all()
                .filter(Condition.OnList.class::isInstance)
                .map(part -> ((Condition.OnList) part).list())
                .filter(name -> !board.recipe().sifting().lists().containsKey(name))
                .distinct()
                .toList()
                .forEach(name -> pantry.find(name).ifPresent(list -> further.put(name, list)));
        return board.matcher(further);
    }

    private static List<Choices> kinds(Board board) {
        Map<ConditionKind.Heading, Map<String, Message>> offered = new EnumMap<>(ConditionKind.Heading.class);
        for (ConditionKind.Form form : ConditionKind.offered()) {
            Figure figure = form.figure();
            if (figure == null
                    || figure == Figure.SEARCHES
                    || board.keywords().figure(figure).isPresent()) {
                offered.computeIfAbsent(form.heading(), heading -> new LinkedHashMap<>())
                        .put(form.key(), form.label());
            }
        }
        List<Choices> choices = new ArrayList<>();
        offered.forEach((heading, labels) -> choices.add(new Choices(heading.label(), labels)));
        return choices;
    }

    /** What can be chosen for the kinds that name something of the project: label by value, by kind. */
    private Map<String, Map<String, Message>> values(Snapshot snapshot) {
        Board board = snapshot.board();
        Map<String, Map<String, Message>> values = new LinkedHashMap<>();
        TreeSet<String> lists = new TreeSet<>(board.recipe().sifting().lists().keySet());
        pantry.all().forEach(list -> lists.add(list.name()));
        values.put("list", same(lists));
        values.put(
                "basket",
                same(board.keywords().baskets().stream().map(Lines::name).toList()));
        values.put("tag", same(board.statuses().tags().all()));
        Map<String, Message> scripts = new LinkedHashMap<>();
        Arrays.stream(Cleaning.Script.values()).forEach(script -> scripts.put(script.name(), script.label()));
        values.put("script", scripts);
        Map<String, Message> statuses = new LinkedHashMap<>();
        Arrays.stream(Status.values()).forEach(status -> statuses.put(status.name(), status.label()));
        values.put("status", statuses);
        Map<String, Message> intents = new LinkedHashMap<>();
        Arrays.stream(Intent.values()).forEach(intent -> intents.put(intent.name(), intent.label()));
        values.put("intent", intents);
        values.put(
                "priority",
                same(board.recipe().valuing().priority().classes().stream()
                        .map(PrioritySettings.PriorityClass::name)
                        .toList()));
        return values;
    }

    private static Map<String, Message> same(Iterable<String> names) {
        Map<String, Message> labels = new LinkedHashMap<>();
        names.forEach(name -> labels.put(name, Message.verbatim(name)));
        return labels;
    }

    /** How what is made of a condition is called, and what else is said of it; without blanks at the ends. */
    record TypedExtras(String newTag, String view, String groupName, Intent intent, Boolean ungroupedOnly) {

        TypedExtras {
            newTag = text(newTag);
            view = text(view);
            groupName = text(groupName);
            intent = intent == null ? Intent.COMMERCIAL : intent;
            ungroupedOnly = ungroupedOnly != null && ungroupedOnly;
        }

        private static String text(@Nullable String field) {
            return field == null ? "" : field.strip();
        }
    }

    /** What was built becomes a rule, takes the place of one, or is saved as a view. */
    @PostMapping("/projects/{id}/rules/build")
    String make(
            Act act,
            @RequestParam MultiValueMap<String, String> fields,
            @RequestParam("act") String what,
            @RequestParam(defaultValue = "0") int rule,
            @ModelAttribute("made") TypedExtras made) {
        Built.Read read = Built.of(fields).read(Decimals.of(act.project().language()));
        if (!read.faults().isEmpty() || read.condition().isEmpty()) {
            Message why = read.faults().isEmpty()
                    ? Message.of("sift.build-controller.nothing-done-say-first")
                    : read.faults().getFirst();
            return act.back(new Outcome.Refused(why));
        }
        Condition condition = read.condition().get();
        Outcome outcome = takeLists(act, condition).orElseGet(() -> switch (what) {
            case "group" -> group(act, condition, made.groupName(), made.ungroupedOnly());
            case "intent" -> act.make(recipe -> new ValueEntry.IntentRuled(condition, made.intent(), true));
            case "view" -> act.make(recipe -> new SiftEntry.ViewSaved(made.view(), condition));
            default -> make(act, condition, what, rule, made.newTag());
        });
        if (!(outcome instanceof Outcome.Done)) {
            return act.back(outcome);
        }
        return what.equals("group")
                ? act.to("/group?group=" + Show.encoded(Tidy.of(made.groupName())), outcome)
                : act.to("/sift" + (what.equals("view") ? SiftQuery.urlOf(condition) : ""), outcome);
    }

    /** A rule names lists that the project has: those that it has not yet are taken in first. Empty if that went well. */
    private Optional<Outcome> takeLists(Act act, Condition condition) {
        for (Condition part : condition.all().toList()) {
            if (part instanceof Condition.OnList on
                    && !act.snapshot().board().recipe().sifting().lists().containsKey(on.list())) {
                Optional<WordList> list = pantry.find(on.list());
                if (list.isEmpty()) {
                    return Optional.of(new Outcome.Refused(Message.of("sift.build-controller.pantry-list", on.list())));
                }
                Outcome taken = act.make(recipe -> new SiftEntry.ListTaken(list.get()));
                if (!(taken instanceof Outcome.Done)) {
                    return Optional.of(taken);
                }
            }
        }
        return Optional.empty();
    }

    private static Outcome group(Act act, Condition condition, String name, boolean ungroupedOnly) {
        return act.make(recipe -> new GroupEntry.GroupRuleSet(
                new GroupRule(recipe.grouping().nextRule(), name.strip(), condition, ungroupedOnly)));
    }

    private static Outcome make(Act act, Condition condition, String what, int rule, String newTag) {
        if (condition.followsFromRules()) {
            return new Outcome.Refused(Message.of("sift.build-controller.rule-cannot-ask-how"));
        }
        return act.make(recipe -> {
            Rule.Does does =
                    switch (what) {
                        case "drop" -> new Rule.Gives(Status.DROPPED);
                        case "keep" -> new Rule.Gives(Status.KEPT);
                        case "tag" -> new Rule.Tags(newTag.strip());
                        default -> throw new Refusal("sift.build-controller.there-is-no-act", what);
                    };
            return rule > 0
                    ? new SiftEntry.RuleChanged(new Rule(rule, condition, does))
                    : new SiftEntry.RuleAdded(new Rule(recipe.sifting().nextRule(), condition, does));
        });
    }
}
