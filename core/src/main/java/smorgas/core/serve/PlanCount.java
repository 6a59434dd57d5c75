package smorgas.core.serve;

/**
 * How much a plan holds, known without it.
 *
 * @param keywords that it serves
 * @param rows one for each keyword, ad group and match type
 */
public record PlanCount(int keywords, long rows) {}
