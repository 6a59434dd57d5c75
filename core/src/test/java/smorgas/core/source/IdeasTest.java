package smorgas.core.source;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import smorgas.core.recipe.gather.Brainstorm;
import smorgas.core.recipe.gather.Brainstorm.Form;

/** Phrases around what somebody wrote of customers. */
class IdeasTest {

    /**
     * The worked example of Rose, Engel, Cramer and Cowley 2010 (text and scores from memory; scores there are rounded to one
     * place).
     */
    @Test
    void runsOfThePublishedExampleHaveItsScores() {
        String text = "Compatibility of systems of linear constraints over the set of natural numbers. "
                + "Criteria of compatibility of a system of linear Diophantine equations, strict inequations, and nonstrict "
                + "inequations are considered. Upper bounds for components of a minimal set of solutions and algorithms of "
                + "construction of minimal generating sets of solutions for all types of systems are given. These criteria "
                + "and the corresponding algorithms for constructing a minimal supporting set of solutions can be used in "
                + "solving all the considered types of systems and systems of mixed types.";
        Set<String> stop = Set.of(
                "of", "over", "the", "a", "and", "are", "for", "all", "these", "can", "be", "in", "given", "used");
        Map<String, Double> scores = new HashMap<>();
        Extraction.of(text, stop).forEach(run -> scores.put(run.text(), run.score()));
        Map.of(
                        "minimal generating sets", 8.7,
                        "linear diophantine equations", 8.5,
                        "minimal supporting set", 7.7,
                        "minimal set", 4.7,
                        "linear constraints", 4.5,
                        "natural numbers", 4.0,
                        "strict inequations", 4.0,
                        "upper bounds", 4.0,
                        "corresponding algorithms", 3.5,
                        "mixed types", 3.7)
                .forEach((run, score) -> assertThat(scores.get(run)).as(run).isCloseTo(score, within(.06)));
        assertThat(Extraction.of(text, stop).getFirst().text()).isEqualTo("minimal generating sets");
    }

    private static List<String> ideas(String offer, String customers, String problems, String language, Form... forms) {
        return Ideas.of(new Brainstorm(offer, customers, problems, EnumSet.copyOf(List.of(forms)), language)).stream()
                .map(Ideas.Idea::text)
                .toList();
    }

    @Test
    void everyFormSaysWhatItIsFor() {
        String offer = "Cedar hives and bee suits.";
        String customers = "Beginners who want to keep bees in the city, and schools.";
        String problems = "Wasps; mouldy frames in winter.";
        assertThat(ideas(offer, customers, problems, "en", Form.THINGS)).containsExactly("cedar hives", "bee suits");
        assertThat(ideas(offer, customers, problems, "en", Form.OPENERS))
                .contains("best cedar hives", "where to buy bee suits", "bee suits near me")
                .doesNotContain("cedar hives");
        assertThat(ideas(offer, customers, problems, "en", Form.NEEDS))
                .containsExactly("how to keep bees in the city", "best way to keep bees in the city");
        assertThat(ideas(offer, customers, problems, "en", Form.PROBLEMS))
                .contains("mouldy frames", "how to prevent mouldy frames", "what to do about wasps");
        assertThat(ideas(offer, customers, problems, "en", Form.COMPARISONS))
                .containsExactly("cedar hives vs bee suits", "cedar hives or bee suits");
        assertThat(ideas(offer, customers, problems, "en", Form.AUDIENCES))
                .contains("cedar hives for beginners", "bee suits for schools");
        assertThat(ideas(offer, customers, problems, "en", Form.values())).doesNotHaveDuplicates();
    }

    @Test
    void otherLanguagesHaveTheirOwnWordsAroundOrNone() {
        assertThat(ideas(
                        "Bienenbeuten aus Zedernholz",
                        "Anf\u00e4nger, die Honig schleudern wollen oder Bienen halten m\u00f6chten.",
                        "",
                        "de",
                        Form.THINGS,
                        Form.OPENERS,
                        Form.AUDIENCES))
                .contains("bienenbeuten", "zedernholz preise", "zedernholz f\u00fcr anf\u00e4nger");
        assertThat(ideas("ruches en bois", "", "", "fr", Form.values())).containsExactly("ruches", "bois");
    }

    @Test
    void hostileAndEmptyTextsAreRefusedOrComeToNothing() {
        assertThatThrownBy(() -> ideas(" ", "", "\n", "en", Form.THINGS)).hasMessageContaining("Write a sentence");
        assertThatThrownBy(() -> ideas("x".repeat(5_001), "", "", "en", Form.THINGS))
                .hasMessageContaining("5,000");
        assertThatThrownBy(() -> new Brainstorm("hive", "", "", Set.of(), "en")).hasMessageContaining("Choose");
        assertThat(ideas("the and of 12 !!", "", "", "en", Form.THINGS)).isEmpty();
        assertThat(ideas("<b>hive</b> {} $1 \\E", "", "", "en", Form.values())).allMatch(idea -> !idea.contains("<"));
    }
}
