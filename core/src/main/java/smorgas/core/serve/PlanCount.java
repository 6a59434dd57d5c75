package smorgas.core.serve;

/**
 * How much a plan holds, known without its rows.
 *
 * @param campaigns that have an ad group at least
 * @param adGroups that have a keyword at least
 * @param keywords that it serves
 * @param rows one for each keyword, ad group and match type
 */
public record PlanCount(int campaigns, int adGroups, int keywords, long rows) {}
