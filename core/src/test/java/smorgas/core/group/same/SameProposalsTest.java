package smorgas.core.group.same;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.SameHere;

class SameProposalsTest {

    private static final List<String> KEYWORDS = List.of(
            "blocked drain",
            "clogged drain",
            "blocked kitchen sink",
            "clogged kitchen sinks",
            "blocked shower",
            "clogged shower",
            "new shower",
            "shower fitting 90 cm",
            "shower fitting 80 cm",
            "drain rods",
            "drain rod",
            "shwoer fitting 90 cm",
            "tap");

    private static List<SameProposals.Proposal> found(GroupSettings settings, MeaningVectors meaning) {
        return new SameProposals(KEYWORDS, settings, "en", meaning, Rules.NEWEST.similarity()).find(10);
    }

    @Test
    void wordsInTheSameSurroundingsAreProposedTheOnesInMostFirst() {
        SameProposals.Proposal first = found(Rules.NEWEST.settings().byThemes("en"), MeaningVectors.NONE)
                .getFirst();
        assertThat(List.of(first.one(), first.other())).containsExactlyInAnyOrder("blocked", "clogged");
        assertThat(first.surroundings()).isEqualTo(3);
        assertThat(first.ones()).isEqualTo(3);
        assertThat(first.example()).hasSize(2).allMatch(KEYWORDS::contains);
        assertThat(first.key()).isEqualTo("same | blocked | clogged");
        assertThat(first.meaning()).isNaN();
    }

    @Test
    void neitherSizesNorFormsNorMisspellingsNorWhatIsKnownAreProposed() {
        GroupSettings known =
                Rules.NEWEST.settings().byThemes("en").with(SameHere.NOTHING.joined(List.of("blocked", "clogged")));
        assertThat(found(known, MeaningVectors.NONE))
                .noneMatch(proposal -> proposal.key().equals("same | blocked | clogged")
                        || proposal.key().contains("90")
                        || proposal.key().contains("rods")
                        || proposal.key().contains("shwoer"));
        assertThat(new SameProposals(List.of(), known, "en", MeaningVectors.NONE, Rules.NEWEST.similarity()).find(10))
                .isEmpty();
    }

    @Test
    void whatKeywordsMeanPutsThoseInFrontThatChangeLittle() {
        // "new shower" is as far from "blocked shower" as can be, "clogged shower" as near.
        MeaningVectors meaning = text ->
                text.startsWith("new") ? new float[] {0, 1} : text.contains("shower") ? new float[] {1, 0} : null;
        List<SameProposals.Proposal> found = found(Rules.NEWEST.settings().byThemes("en"), meaning);
        assertThat(found.getFirst().key()).isEqualTo("same | blocked | clogged");
        assertThat(found.getFirst().meaning()).isEqualTo(1);
        assertThat(found.getLast().key()).contains("new");
        assertThat(found.getLast().score()).isZero();
    }
}
