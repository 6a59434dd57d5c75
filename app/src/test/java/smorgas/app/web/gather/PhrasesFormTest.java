package smorgas.app.web.gather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.recipe.gather.PhraseSettings;
import smorgas.core.recipe.gather.PhraseSettings.Part;
import smorgas.core.text.Refusal;

/** A form says what was asked, and what was asked fills the form again. */
class PhrasesFormTest {

    private static PhrasesForm usual() {
        return PhrasesForm.usual("en").withAddresses(List.of("https://shop.example/hives"));
    }

    @Test
    void whatIsUsualCanBeAskedAsItStands() {
        PhraseSettings asked = usual().read();
        assertThat(asked.words()).isEqualTo(new PhraseSettings.Range(1, 4));
        assertThat(asked.characters()).isEqualTo(new PhraseSettings.Range(3, 80));
        assertThat(asked.times()).isEqualTo(2);
        assertThat(asked.addresses()).containsExactly("https://shop.example/hives");
        assertThat(asked.stopWords()).contains("the", "of");
        assertThat(asked.weights())
                .allSatisfy((part, weight) -> assertThat(weight).isEqualTo(part.usual()));
    }

    @Test
    void whatWasAskedFillsTheFormThatAsksTheSame() {
        PhraseSettings asked =
                usual().withWords(false, List.of("cookie", "login")).read();
        PhrasesForm again = PhrasesForm.of(asked, "pages of rivals");
        assertThat(again.name()).isEqualTo("pages of rivals");
        assertThat(again.read()).isEqualTo(asked);
        assertThat(PhrasesForm.of(again.read(), "x").read()).isEqualTo(asked);
    }

    @Test
    void addressesAreTakenOnceWithoutWhatStandsAroundThem() {
        PhrasesForm form = usual().withAddresses(List.of("https://shop.example/hives", "https://shop.example/suits"));
        assertThat(form.addressLines()).containsExactly("https://shop.example/hives", "https://shop.example/suits");
        PhrasesForm typed =
                PhrasesForm.usual("en").withAddresses(List.of("  https://a.example  ", "", "https://a.example"));
        assertThat(typed.addressLines()).containsExactly("https://a.example");
    }

    @Test
    void furtherWordsJoinThoseOfTheirKindOnly() {
        PhrasesForm form = usual();
        PhrasesForm stop = form.withWords(true, List.of("uk"));
        assertThat(stop.read().stopWords())
                .contains("uk")
                .containsAll(form.read().stopWords());
        assertThat(stop.badWords()).isEqualTo(form.badWords());
        PhrasesForm bad = form.withWords(false, List.of("cookie"));
        assertThat(bad.read().badWords()).contains("cookie");
        assertThat(bad.stopWords()).isEqualTo(form.stopWords());
    }

    @Test
    void aPartThatCountsNothingIsLeftOut() {
        PhrasesForm usual = usual();
        List<PhrasesForm.PartField> none = usual.parts().stream()
                .map(field -> field.part() == Part.TITLE ? new PhrasesForm.PartField(Part.TITLE, "0") : field)
                .toList();
        PhrasesForm form = new PhrasesForm(
                none, "", usual.addresses(), "", "", "3", "80", "1", "4", "2", "1", "", "", false, "en", "");
        assertThat(form.read().weights()).doesNotContainKey(Part.TITLE).isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "two", "-1x", "9999999999999", "1.5"})
    void aNumberThatIsNoneIsRefusedWithASentence(String typed) {
        PhrasesForm usual = usual();
        PhrasesForm form = new PhrasesForm(
                usual.parts(), "", usual.addresses(), "", "", typed, "80", "1", "4", "2", "1", "", "", false, "en", "");
        assertThatThrownBy(form::read).isInstanceOf(Refusal.class).hasMessageContaining("characters");
    }
}
