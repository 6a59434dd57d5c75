package smorgas.core.source;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.recipe.gather.Asked;
import smorgas.core.text.Refusal;

class SentencesTest {

    private static Sentences.Found of(String text, Asked.Sentences wanted) {
        return Sentences.of("mails.txt", text.getBytes(StandardCharsets.UTF_8), "en", wanted);
    }

    @Test
    void eachSentenceThatIsShortEnoughIsAKeywordAndTheOthersAreCounted() {
        Sentences.Found found = of(
                "Hello!\nHow do I clean a bee smoker? I bought it from you in 2.5 years, and \"it smokes\".\n"
                        + "- Which hive is best for beginners??\nHow do I clean a bee smoker?\n"
                        + "A very long sentence that nobody would ever type into a field, since it goes on and\n"
                        + "on in the next line.\n",
                Asked.Sentences.USUAL);
        assertThat(found.keywords()).containsExactly("how do i clean a bee smoker", "which hive is best for beginners");
        assertThat(found.left()).as("one word, eleven words, twenty words").isEqualTo(3);
    }

    @Test
    void onlyQuestionsAreTakenWhereTheyAreAskedFor() {
        assertThat(of(
                                "We like the hive. Does it come with a roof?  \u00bfHay miel?\n",
                                new Asked.Sentences(true, 1, 20, 0))
                        .keywords())
                .containsExactly("does it come with a roof", "hay miel");
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16", "windows-1252"})
    void aTextIsReadInAnyEncoding(String encoding) {
        String mark = encoding.equals("UTF-16LE") ? "\ufeff" : "";
        byte[] text = (mark + "Wie reinige ich den Smoker f\u00fcr die Imkerei? Gibt es H\u00f6lzer daf\u00fcr?")
                .getBytes(Charset.forName(encoding));
        assertThat(Sentences.of("mails.txt", text, "de", Asked.Sentences.USUAL).keywords())
                .containsExactly("wie reinige ich den smoker f\u00fcr die imkerei", "gibt es h\u00f6lzer daf\u00fcr");
    }

    /** Marks in a row and lines that go on for ever are read in one pass; looked for again and again they would take hours. */
    @Test
    void aHostileTextIsReadAndCounted() {
        String marks = "a" + ",".repeat(1_000_000) + "b. What is next?\n";
        String lines = ("x".repeat(60) + "\n").repeat(50_000);
        Sentences.Found found = of(marks + lines, Asked.Sentences.USUAL);
        assertThat(found.keywords()).containsExactly("what is next");
        assertThat(found.left()).isEqualTo(2);
    }

    @Test
    void bracketsStayWhereTheyAreAPair() {
        assertThat(of("Which hive is best (for beginners)? (It is cedar.) \"Is it 50%?\"\n", Asked.Sentences.USUAL)
                        .keywords())
                .containsExactly("which hive is best (for beginners)", "it is cedar", "is it 50%");
    }

    @Test
    void whatIsNoSentenceIsRefusedOrLeftOut() {
        assertThat(of("\n \n...\n", Asked.Sentences.USUAL)).isEqualTo(new Sentences.Found(java.util.List.of(), 0));
        assertThat(of("x".repeat(100_000) + " y", Asked.Sentences.USUAL).left()).isEqualTo(1);
        assertThatThrownBy(() -> new Asked.Sentences(false, 5, 4, 0)).isInstanceOf(Refusal.class);
    }
}
