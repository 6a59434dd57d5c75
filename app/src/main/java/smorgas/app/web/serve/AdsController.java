package smorgas.app.web.serve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Snapshot;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.serve.AdTemplate;
import smorgas.core.recipe.serve.PlanAds;
import smorgas.core.serve.AdWriter;
import smorgas.core.serve.Plan;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/** Ads: the templates, and what they come to for each ad group. */
@Controller
class AdsController {

    private static final int PAGE = 40;

    private final Frames frames;

    AdsController(Frames frames) {
        this.frames = frames;
    }

    /** The templates and the ads. */
    record AdsPage(
            List<TemplateView> templates,
            String words,
            boolean inherited,
            List<GroupAds> groups,
            Message shown,
            int before,
            int after,
            Message count) {}

    /** A template as its fields show it: a text a line. */
    record TemplateView(String headlines, String descriptions, String paths) {}

    /**
     * The ads of an ad group.
     *
     * @param key of its first group; empty for the ungrouped keywords
     * @param written whether a hand has written them
     * @param edit as the form of one's own carries them
     */
    record GroupAds(String name, String key, boolean written, List<AdView> ads, TemplateView edit) {}

    /** An ad as text. */
    record AdView(List<Text> headlines, List<Text> descriptions, String path) {}

    /** A text with how long it is. */
    record Text(String text, int length, int most, boolean shortened) {}

    @GetMapping("/projects/{id}/ads")
    String page(@PathVariable long id, @RequestParam(defaultValue = "0") int from, Model model) {
        Snapshot snapshot = frames.openWithGroups(id, Step.SERVE).snapshot();
        PlanAds ads = snapshot.board().recipe().serving().ads();
        List<Plan.AdGroup> all = snapshot.board().plan().campaigns().stream()
                .flatMap(campaign -> campaign.adGroups().stream())
                .toList();
        int begin = Math.clamp(from, 0, Math.max(0, all.size() - 1));
        int end = Math.min(all.size(), begin + PAGE);
        List<TemplateView> templates = new ArrayList<>(
                ads.templates().stream().map(AdsController::view).toList());
        if (templates.size() < PlanAds.MOST) {
            templates.add(new TemplateView("", "", ""));
        }
        var own = snapshot.board().recipe().serving().ownAds();
        Shown.in(
                model,
                new AdsPage(
                        templates,
                        ads.words().entrySet().stream()
                                .map(word -> word.getKey() + ": " + word.getValue())
                                .collect(Collectors.joining("\n")),
                        ads.inherited(),
                        all.subList(begin, end).stream()
                                .map(group -> groupAds(group, own))
                                .toList(),
                        all.size() > PAGE ? Message.of("count.range", begin + 1L, end, all.size()) : Message.NONE,
                        begin > 0 ? Math.max(0, begin - PAGE) : -1,
                        end < all.size() ? end : -1,
                        Message.of(
                                "count.ads",
                                all.stream()
                                        .mapToLong(group -> group.ads().size())
                                        .sum())));
        frames.frame(model, id, snapshot, Step.SERVE);
        return "serve/ads";
    }

    private static GroupAds groupAds(Plan.AdGroup group, SequencedMap<String, List<AdTemplate>> own) {
        String key = group.keys().isEmpty() ? "" : group.keys().getFirst();
        List<AdTemplate> written = group.keys().stream()
                .filter(own::containsKey)
                .map(own::get)
                .findFirst()
                .orElse(List.of());
        TemplateView edit = !written.isEmpty()
                ? view(written.getFirst())
                : group.ads().stream()
                        .findFirst()
                        .map(ad -> new TemplateView(
                                String.join("\n", ad.headlines()),
                                String.join("\n", ad.descriptions()),
                                String.join("/", ad.paths())))
                        .orElse(new TemplateView("", "", ""));
        return new GroupAds(
                group.name(),
                key,
                !written.isEmpty(),
                group.ads().stream().map(AdsController::view).toList(),
                edit);
    }

    private static TemplateView view(AdTemplate ad) {
        return new TemplateView(
                String.join("\n", ad.headlines()), String.join("\n", ad.descriptions()), String.join("/", ad.paths()));
    }

    private static AdView view(Plan.Ad ad) {
        return new AdView(
                ad.headlines().stream()
                        .map(text -> text(text, AdTemplate.LONGEST_HEADLINE, ad))
                        .toList(),
                ad.descriptions().stream()
                        .map(text -> text(text, AdTemplate.LONGEST_DESCRIPTION, ad))
                        .toList(),
                String.join("/", ad.paths()));
    }

    private static Text text(String text, int most, Plan.Ad ad) {
        return new Text(text, AdWriter.width(text), most, ad.shortened().contains(text));
    }

    /** The templates and what stands for fields of one's own. */
    @PostMapping("/projects/{id}/ads")
    String set(Act act, @RequestParam MultiValueMap<String, String> fields) {
        return act.done(recipe -> new ServeEntry.AdsSet(
                new PlanAds(fields.containsKey("inherited"), templates(fields), words(fields.getFirst("words")))));
    }

    /** The ads of one ad group; none for as the templates have them. */
    @PostMapping("/projects/{id}/ads/group")
    String write(
            Act act,
            @RequestParam String group,
            @RequestParam(defaultValue = "true") boolean own,
            @RequestParam MultiValueMap<String, String> fields) {
        return act.done(recipe -> new ServeEntry.AdsSaid(group, own ? templates(fields) : List.of()));
    }

    @PostMapping("/projects/{id}/ads/replace")
    String replace(Act act, @RequestParam String find, @RequestParam String with) {
        return act.done(recipe -> new ServeEntry.AdsReplaced(find, with));
    }

    /** Those of which anything is written. */
    private static List<AdTemplate> templates(MultiValueMap<String, String> fields) {
        List<String> headlines = fields.getOrDefault("headlines", List.of());
        List<AdTemplate> templates = new ArrayList<>();
        for (int i = 0; i < headlines.size(); i++) {
            List<String> descriptions = lines(fields, "descriptions", i, "\\R");
            List<String> paths = lines(fields, "paths", i, "/");
            List<String> all = lines(fields, "headlines", i, "\\R");
            if (!all.isEmpty() || !descriptions.isEmpty() || !paths.isEmpty()) {
                templates.add(new AdTemplate(all, descriptions, paths));
            }
        }
        return templates;
    }

    private static List<String> lines(MultiValueMap<String, String> fields, String name, int at, String between) {
        List<String> values = fields.getOrDefault(name, List.of());
        return at >= values.size()
                ? List.of()
                : Arrays.stream(values.get(at).split(between))
                        .map(String::strip)
                        .filter(line -> !line.isEmpty())
                        .toList();
    }

    /** A field a line: its name, a colon, what stands for it. */
    private static SequencedMap<String, String> words(@org.jspecify.annotations.Nullable String text) {
        SequencedMap<String, String> words = new LinkedHashMap<>();
        for (String line : text == null ? List.<String>of() : text.lines().toList()) {
            int colon = line.indexOf(':');
            if (colon > 0) {
                words.put(
                        line.substring(0, colon).strip(),
                        line.substring(colon + 1).strip());
            } else if (!line.isBlank()) {
                throw new Refusal("serve.ads-controller.cannot-read-write-offer", line.strip());
            }
        }
        return words;
    }
}
