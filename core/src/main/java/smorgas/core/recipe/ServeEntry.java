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
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** An entry about what leaves. */
public sealed interface ServeEntry extends Entry {
    /**
     * A negative that blocks what the plan serves leaves all the same, or is not exported again.
     *
     * @param word as the rule names it, tidy
     */
    record NegativeDecided(String word, boolean exported) implements ServeEntry {
        @Override
        public Set<String> touches() {
            return Set.of("negative:" + word);
        }

        @Override
        public Message sentence() {
            return exported
                    ? Message.of("recipe.serve-entry.serves-negative-whatever-blocks", word)
                    : Message.of("recipe.serve-entry.holds-negative-back-where", word);
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
                throw new Refusal("recipe.serve-entry.say-which-word-negative");
            }
            Formulas.refuse(Message.of("recipe.serve-entry.negative"), text);
            if (Characters.count(text) > 80 || text.split(" ").length > 10) {
                throw new Refusal(
                        "recipe.serve-entry.too-long-negative-most", text.substring(0, Math.min(30, text.length())));
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

        private Message sentence() {
            Message what = Message.of(
                    "recipe.serve-entry.the-negative",
                    text,
                    (group.isEmpty() ? Message.NONE : Message.of("recipe.serve-entry.in", group)));
            return switch (say) {
                case BROAD, PHRASE, EXACT ->
                    Message.of("recipe.serve-entry.serves", what, say.name().toLowerCase(Locale.ENGLISH));
                case NEVER -> Message.of("recipe.serve-entry.never-serves", what);
                case NOTHING -> Message.of("recipe.serve-entry.left-rules", what);
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
                throw new Refusal("recipe.serve-entry.say-which-words-negatives");
            }
        }

        @Override
        public Set<String> touches() {
            return negatives.stream()
                    .map(one -> "negative:" + one.text() + "\n" + one.group())
                    .collect(Collectors.toSet());
        }

        @Override
        public Message sentence() {
            return negatives.size() == 1
                    ? negatives.getFirst().sentence()
                    : Message.of("recipe.serve-entry.said-how-negative-leave", negatives.size());
        }
    }

    /** Whether the negatives that keep groups apart leave with the plan, all of them as they are found. */
    record GroupsKeptApart(boolean on) implements ServeEntry {
        @Override
        public Set<String> touches() {
            return Set.of("kept apart");
        }

        @Override
        public Message sentence() {
            return on
                    ? Message.of("recipe.serve-entry.keeps-groups-apart-negatives")
                    : Message.of("recipe.serve-entry.keeps-groups-apart-only");
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
                throw new Refusal("recipe.serve-entry.say-which-ad-group");
            }
            if (bidMicros < 0 || bidMicros > 1_000_000_000_000L) {
                throw new Refusal("recipe.serve-entry.bid-0-1-000");
            }
            if (!page.isEmpty() && !PlanPages.isPage(page)) {
                throw new Refusal("recipe.serve-entry.address-page-write-https", page);
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("ad group:" + group);
        }

        @Override
        public Message sentence() {
            return bidMicros == 0 && page.isEmpty()
                    ? Message.of("recipe.serve-entry.left-bid-page-plan", group)
                    : Message.of("recipe.serve-entry.set-bid-page", group);
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
                throw new Refusal("recipe.serve-entry.say-which-campaign");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("campaign:" + campaign);
        }

        @Override
        public Message sentence() {
            String which = campaign.substring(campaign.indexOf(':') + 1);
            Message what = which.isEmpty()
                    ? Message.of("recipe.serve-entry.the-campaign")
                    : Message.of("recipe.serve-entry.the-campaign-2", which);
            return own.equals(OwnCampaign.NONE)
                    ? Message.of("recipe.serve-entry.left-plan", what)
                    : Message.of("recipe.serve-entry.set-name-bids-negatives", what);
        }
    }

    /** How ads are written was set. */
    record AdsSet(PlanAds ads) implements ServeEntry {
        @Override
        public Set<String> touches() {
            return Set.of("ads");
        }

        @Override
        public Message sentence() {
            return ads.templates().isEmpty()
                    ? Message.of("recipe.serve-entry.took-templates-ads-away")
                    : Message.of(
                            "recipe.serve-entry.set-template-ads",
                            ads.templates().size());
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
                throw new Refusal("recipe.serve-entry.say-which-ad-group");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("ads:" + group);
        }

        @Override
        public Message sentence() {
            return ads.isEmpty()
                    ? Message.of("recipe.serve-entry.left-ads-templates", group)
                    : Message.of("recipe.serve-entry.wrote-ads", group);
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
                throw new Refusal("recipe.serve-entry.say-which-text-replaced");
            }
        }

        @Override
        public Set<String> touches() {
            return Set.of("ads");
        }

        @Override
        public Message sentence() {
            return Message.of("recipe.serve-entry.replaced-ads", find, with);
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
        public Message sentence() {
            return Message.of(
                    "recipe.serve-entry.set-plan-campaign", settings.names().campaign());
        }
    }
}
