package vocalis.core.score;

/**
 * Where in a recipe a note comes from.
 *
 * @param chord index of its root
 * @param figure id of its figure
 * @param event id of its event in the figure
 * @param pass which laying of a figure
 */
public record Origin(int chord, String figure, int event, int pass) {}
