package smorgas.core.recipe.group;

import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.text.Characters;
import smorgas.core.text.Formulas;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/**
 * A group that is made by a condition, not by the engine.
 *
 * @param number tells it apart within its project, from 1; never given twice
 * @param name of the group as typed; not blank, nor when tidy, at most {@value #LONGEST_NAME} characters
 * @param when must not ask for a status
 * @param ungroupedOnly whether it takes only what the engine left; else it takes its keywords before the engine does
 */
public record GroupRule(int number, String name, Condition when, boolean ungroupedOnly) {

    /** The most characters of a group's name. */
    public static final int LONGEST_NAME = 100;

    public GroupRule {
        Rule.checkNumber(number);
        checkName(name);
        checkName(Tidy.of(name));
        when.requireTexts();
        if (when.followsFromRules()) {
            throw new Refusal("group.group-rule.rule-cannot-ask-what", when.sentence());
        }
    }

    /** What every name of a group must be. */
    public static void checkName(String name) {
        if (!hasLength(name)) {
            throw new Refusal("group.group-rule.group-name-1-characters", LONGEST_NAME);
        }
        Formulas.refuse(Message.of("group.group-rule.name-group"), name);
    }

    /** Whether a name can be a group's. */
    public static boolean fits(String name) {
        return plain(name) || hasLength(name) && hasLength(Tidy.of(name)) && !Formulas.runs(name);
    }

    /** Most names are letters and digits, which takes no tidying to see; asked of every keyword. */
    private static boolean plain(String name) {
        for (int i = 0; i < name.length(); i++) {
            char letter = name.charAt(i);
            boolean word = letter >= 'a' && letter <= 'z' || letter >= '0' && letter <= '9';
            if (!word && (letter != ' ' || i == 0)) {
                return false;
            }
        }
        return !name.isEmpty() && name.length() <= LONGEST_NAME;
    }

    private static boolean hasLength(String name) {
        return !name.isBlank() && Characters.count(name) <= LONGEST_NAME;
    }

    /** What tells its group apart: the name, tidy. */
    public String key() {
        return Tidy.of(name);
    }

    /** The rule as a sentence without a full stop. */
    public Message sentence() {
        return Message.of("group.group-rule.group-ungrouped", name, ungroupedOnly, when.sentence());
    }
}
