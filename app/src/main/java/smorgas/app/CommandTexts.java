package smorgas.app;

import java.util.Collections;
import java.util.Enumeration;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.MissingParameterException;
import picocli.CommandLine.Model.ArgSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.UnmatchedArgumentException;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** The texts of the catalogue that commands and their options are explained by, as the command line asks for them. */
final class CommandTexts extends ResourceBundle {

    private static final String PREFIX = "command.";

    private final Wording wording;

    CommandTexts(Wording wording) {
        this.wording = wording;
    }

    @Override
    protected @Nullable Object handleGetObject(String key) {
        return wording.has(PREFIX + key) ? wording.of(PREFIX + key) : null;
    }

    @Override
    protected Set<String> handleKeySet() {
        return wording.keys().stream()
                .filter(key -> key.startsWith(PREFIX))
                .map(key -> key.substring(PREFIX.length()))
                .collect(Collectors.toSet());
    }

    @Override
    public Enumeration<String> getKeys() {
        return Collections.enumeration(handleKeySet());
    }

    /** What is wrong with how a command was called, and how it is. */
    static int wrongUse(ParameterException fault, Wording wording) {
        CommandLine command = fault.getCommandLine();
        System.err.println("smorgas: " + wording.of(why(fault)));
        command.usage(System.err);
        return command.getCommandSpec().exitCodeOnInvalidInput();
    }

    private static Message why(ParameterException fault) {
        return switch (fault) {
            case MissingParameterException missing ->
                Message.of(
                        "command.missing",
                        missing.getMissing().stream().map(CommandTexts::named).toList());
            case UnmatchedArgumentException unmatched -> Message.of("command.unknown", unmatched.getUnmatched());
            default ->
                fault.getArgSpec() == null
                        ? Message.verbatim(String.valueOf(fault.getMessage()))
                        : Message.of(
                                "command.not-understood",
                                named(fault.getArgSpec()),
                                fault.getValue() == null ? "" : fault.getValue());
        };
    }

    private static String named(ArgSpec argument) {
        return argument instanceof OptionSpec option ? option.longestName() : argument.paramLabel();
    }
}
