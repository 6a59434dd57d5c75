package smorgas.app.store;

import java.util.ArrayList;
import java.util.List;
import smorgas.core.text.Message;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * A message as JSON: a text of the catalogue as an object with its key and what is filled in, a text of somebody else as it is. What
 * the catalogue cannot say is not read.
 */
final class MessageJson {

    /** How deep messages may be within messages. */
    private static final int DEEPEST = 20;

    private MessageJson() {}

    static SimpleModule module() {
        return new SimpleModule("messages")
                .addSerializer(Message.class, new MessageWriter())
                .addDeserializer(Message.class, new MessageReader());
    }

    private static final class MessageWriter extends ValueSerializer<Message> {
        @Override
        public void serialize(Message message, JsonGenerator to, SerializationContext context) {
            if (message.key().isEmpty()) {
                to.writeString(message.toString());
                return;
            }
            to.writeStartObject();
            to.writeStringProperty("key", message.key());
            to.writeArrayPropertyStart("arguments");
            message.arguments().forEach(argument -> context.writeValue(to, argument));
            to.writeEndArray();
            to.writeEndObject();
        }
    }

    private static final class MessageReader extends ValueDeserializer<Message> {
        @Override
        public Message deserialize(JsonParser from, DeserializationContext context) {
            try {
                if (value(context.readTree(from), 0) instanceof Message message) {
                    return message;
                }
            } catch (IllegalArgumentException e) {
                // The catalogue has no such text, or cannot fill it in.
            }
            return context.reportInputMismatch(Message.class, "this is no text");
        }

        private static Object value(JsonNode node, int depth) {
            if (depth > DEEPEST) {
                throw new IllegalArgumentException("texts within texts");
            }
            if (node.isString() && depth == 0) {
                return Message.verbatim(node.stringValue());
            }
            if (node.isObject()) {
                return message(node, depth);
            }
            if (node.isArray()) {
                List<Object> all = new ArrayList<>();
                node.forEach(one -> all.add(value(one, depth + 1)));
                return all;
            }
            return node.isBoolean()
                    ? (Object) node.booleanValue()
                    : node.isNumber() ? (Object) node.numberValue() : node.asString("");
        }

        private static Message message(JsonNode node, int depth) {
            List<Object> arguments = new ArrayList<>();
            node.path("arguments").forEach(one -> arguments.add(value(one, depth + 1)));
            String key = node.path("key").asString("");
            Message message = key.isEmpty() ? Message.NONE : new Message(key, arguments);
            // Said once, so that what the catalogue has no words for is refused here.
            if (message.toString().isEmpty() != message.isEmpty()) {
                throw new IllegalArgumentException("no text");
            }
            return message;
        }
    }
}
