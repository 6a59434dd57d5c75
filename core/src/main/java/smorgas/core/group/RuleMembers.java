package smorgas.core.group;

import java.util.BitSet;

/**
 * What a rule takes into its group.
 *
 * @param name the group's key
 * @param keywords that fulfil the rule's condition
 * @param ungroupedOnly whether it comes after the engine
 */
public record RuleMembers(String name, BitSet keywords, boolean ungroupedOnly) {}
