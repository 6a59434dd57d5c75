package smorgas.core.recipe;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import smorgas.core.recipe.serve.AdTemplate;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanAds;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.text.Characters;
import smorgas.core.text.Formulas;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** An entry about what leaves. */
public sealed interface ServeEntry extends Entry {
    /**
     * A negative that blocks what the plan serves leaves all the same, or is held back again.
     *
     * @param word as the rule names it, tidy
     */
    record NegativeSettled(String word, boolean leaves) implements ServeEntry {
        @Override
        public Set<String> touches() {
            return Set.of("negative:" + word);
        }

        @Override
        public String sentence() {
            return leaves
                    ? "Serves the negative \"" + word + "\" whatever it blocks"
                    : "Holds the negative \"" + word + "\" back where it blocks what is served";
        }
    }

    /** What a hand says of a negative. */
    enum Say {
        /** It leaves in this match type. */
        BROAD(MatchType.BROAD),
        PHRASE(MatchType.PHRASE),
        EXACT(MatchType.EXACT),
        /** It never leaves. */
        NEVER(null),
        /** A hand says nothing: it leaves if a rule drops it. */
        NOTHING(null);

        private final @Nullable MatchType type;

        Say(@Nullable MatchType type) {
            this.type = type;
        }

        /** The match type in which it leaves; empty if it does not, or if nothing is said. */
        public Optional<MatchType> type() {
            return Optional.ofNullable(type);
        }
    }

    /**
     * A negative, and what a hand says of it.
     *
     * @param text a word or phrase, tidy
     * @param group the key of the group in which it is one; empty for the whole campaign
     */
    record Said(String text, String group, Say say) {
        public Said {
            if (text.isBlank()) {
                throw new Refusal("Say which word is a negative");
            }
            Formulas.refuse("negative", text);
            if (Characters.count(text) > 80 || text.split(" ").length > 10) {
                throw new Refusal("\"" + text.substring(0, Math.min(30, text.length()))
                        + "\" is too long: a negative has at most 80 characters and 10 words");
            }
        }

        /** One of all groups from a line in the notation of ad platforms: bare for broad, in quotes for phrase, in brackets for exact. */
        public static Said written(String line) {
            String text = line.strip();
            for (Say say : List.of(Say.PHRASE, Say.EXACT)) {
                String signs = say.type().orElseThrow().written("");
                if (text.length() > 1
                        && text.charAt(0) == signs.charAt(0)
                        && text.charAt(text.length() - 1) == signs.charAt(1)) {
                    return new Said(Tidy.of(text.substring(1, text.length() - 1)), "", say);
                }
            }
            return new Said(Tidy.of(text), "", Say.BROAD);
        }

        private String sentence() {
            String what = " the negative \"" + text + "\"" + (group.isEmpty() ? "" : " in \"" + group + "\"");
            return switch (say) {
                case BROAD, PHRASE, EXACT -> "Serves" + what + ", " + say.name().toLowerCase(Locale.ENGLISH);
                case NEVER -> "Never serves" + what;
                case NOTHING -> "Left" + what + " to the rules";
            };
        }
    }

    /**
     * A hand said of negatives how they leave, or that they do not.
     *
     * @param negatives at least one
     */
    record NegativesSaid(List<Said> negatives) implements ServeEntry {
        public NegativesSaid {
            negatives = List.copyOf(negatives);
            if (negatives.isEmpty()) {
                throw new Refusal("Say which words are negatives");
            }
        }

        @Override
        public Set<String> touches() {
            return negatives.stream()
                    .map(one -> "negative:" + one.text() + "\n" + one.group())
                    .collect(Collectors.toSet());
        }

        @Override
        public String sentence() {
            return negatives.size() == 1
                    ? negatives.getFirst().sentence()
                    : "Said how " + Entry.count(negatives.size(), "negative") + " leave";
        }
    }

    /** Whether the negatives that keep groups apart leave with the plan, all of them as they are found. */
    record GroupsKeptApart(boolean on) implements ServeEntry {
        @Override
        public Set<String> touches() {
            return Set.of("kept apart");
        }

        @Override
        public String sentence() {
            return on ? "Keeps groups apart by negatives" : "Keeps groups apart only by the negatives taken";
        }
    }

    /**
     * What an ad group bids and where it leads to was said.
     *
     * @param group the key of a group in it
     * @param bidMicros in millionths of the currency; 0 for as the plan has it
     * @param page an address; empty for as the plan has it
     */
    record AdGroupSaid(String group, long bidMicros, String page) implements ServeEntry {
        public AdGroupSaid {
            page = page.strip();
            if (group.isEmpty()) {
                throw new Refusal("Say of which ad group");
            }
            if (bidMicros < 0 || bidMicros > 1_000_000_000_000L) {
                throw new Refusal("The bid is 0 to 1,000,000");
            }
            if (!page.isEmpty() && !PlanPages.isPage(page)) {
                throw new Refusal("\"" + page + "\" is no address of a page: write it with https:// before it");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("ad group:" + group);
        }

        @Override
        public String sentence() {
            return bidMicros == 0 && page.isEmpty()
                    ? "Left bid and page of \"" + group + "\" to the plan"
                    : "Set bid and page of \"" + group + "\"";
        }
    }

    /**
     * Name, bids and negatives of a campaign were said.
     *
     * @param campaign its key, which says by what campaigns are parted and which of them it is, such as {@code INTENT:COMMERCIAL}
     * @param own {@link OwnCampaign#NONE} for as the plan has it
     */
    record CampaignSaid(String campaign, OwnCampaign own) implements ServeEntry {
        public CampaignSaid {
            if (campaign.isEmpty()) {
                throw new Refusal("Say of which campaign");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("campaign:" + campaign);
        }

        @Override
        public String sentence() {
            String which = campaign.substring(campaign.indexOf(':') + 1);
            String what = which.isEmpty() ? "the campaign" : "the campaign \"" + which + "\"";
            return own.equals(OwnCampaign.NONE)
                    ? "Left " + what + " to the plan"
                    : "Set name, bids and negatives of " + what;
        }
    }

    /** How ads are written was set. */
    record AdsSet(PlanAds ads) implements ServeEntry {
        @Override
        public Set<String> touches() {
            return Set.of("ads");
        }

        @Override
        public String sentence() {
            return ads.templates().isEmpty()
                    ? "Took the templates of ads away"
                    : "Set " + Entry.count(ads.templates().size(), "template") + " of ads";
        }
    }

    /**
     * The ads of an ad group were written.
     *
     * @param group the key of a group in it
     * @param ads none for as the templates have them
     */
    record AdsSaid(String group, List<AdTemplate> ads) implements ServeEntry {
        public AdsSaid {
            ads = List.copyOf(ads);
            if (group.isEmpty()) {
                throw new Refusal("Say of which ad group");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("ads:" + group);
        }

        @Override
        public String sentence() {
            return ads.isEmpty()
                    ? "Left the ads of \"" + group + "\" to the templates"
                    : "Wrote ads of \"" + group + "\"";
        }
    }

    /**
     * A text was replaced in all templates of ads and in all that a hand has written.
     *
     * @param find not blank; as it stands, capitals count
     * @param with may be empty
     */
    record AdsReplaced(String find, String with) implements ServeEntry {
        public AdsReplaced {
            if (find.isBlank()) {
                throw new Refusal("Say which text is to be replaced in the ads");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("ads");
        }

        @Override
        public String sentence() {
            return "Replaced \"" + find + "\" by \"" + with + "\" in the ads";
        }

        PlanAds in(PlanAds ads) {
            return new PlanAds(
                    ads.inherited(), ads.templates().stream().map(this::in).toList(), ads.words());
        }

        AdTemplate in(AdTemplate ad) {
            return new AdTemplate(in(ad.headlines()), in(ad.descriptions()), in(ad.paths()));
        }

        /** A text of which nothing is left goes. */
        private List<String> in(List<String> texts) {
            return texts.stream()
                    .map(text -> text.replace(find, with).strip())
                    .filter(text -> !text.isEmpty())
                    .toList();
        }
    }

    /** The choices of Serve were set. */
    record PlanSettingsChosen(PlanSettings settings) implements ServeEntry {
        @Override
        public Set<String> touches() {
            return Set.of("plan");
        }

        @Override
        public String sentence() {
            return "Set the plan for campaign " + settings.names().campaign();
        }
    }
}
