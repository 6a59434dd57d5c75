/**
 * Groups of keywords that are alike: terms, how alike two keywords are, a tree of joins and where it is cut. Front door:
 * {@link smorgas.core.group.similarity.SimilarityEngine}.
 */
@NullMarked
package smorgas.core.group.similarity;

import org.jspecify.annotations.NullMarked;
