package smorgas.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.text.Message;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Messages that are kept with a list and leave with a project: read back they say the same, and what is no text is refused. */
class MessageJsonTest {

    private static final JsonMapper JSON =
            JsonMapper.builder().addModule(MessageJson.module()).build();

    private record Kept(Message why) {}

    private static Message readBack(Message message) {
        return JSON.readValue(JSON.writeValueAsString(new Kept(message)), Kept.class)
                .why();
    }

    @Test
    void whatIsReadBackSaysTheSame() {
        Message inner = Message.of("list.and", "\"0,9\" {0}", 1_000);
        List<Message> all = List.of(
                Message.NONE,
                Message.verbatim("<b> it's {0}"),
                inner,
                Message.of("list.comma", inner, List.of("x", inner, 2.5)),
                Message.of("count.keywords", 12_345),
                Message.joined(
                        "list.semicolon",
                        IntStream.range(0, 5_000).mapToObj(i -> inner).toList()));
        assertThat(all).allSatisfy(message -> assertThat(readBack(message)).hasToString(message.toString()));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"why\":{\"key\":\"no.such.text\",\"arguments\":[]}}",
                "{\"why\":{\"key\":\"count.keywords\",\"arguments\":[\"many\"]}}",
                "{\"why\":[1,2]}",
                "{\"why\":7}"
            })
    void whatIsNoTextIsRefused(String json) {
        assertThatThrownBy(() -> JSON.readValue(json, Kept.class))
                .isInstanceOf(JacksonException.class)
                .hasMessageContaining("this is no text");
    }

    @Test
    void textsWithinTextsWithoutEndAreRefused() {
        String deep = "{\"key\":\"list.and\",\"arguments\":[".repeat(100) + "]}".repeat(100);
        assertThatThrownBy(() -> JSON.readValue("{\"why\":" + deep + "}", Kept.class))
                .isInstanceOf(JacksonException.class);
    }
}
