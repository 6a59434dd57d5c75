/** What texts mean, by a sentence-embedding model that ships with the application and needs no network. */
@org.jspecify.annotations.NullMarked
package smorgas.meaning.model;
