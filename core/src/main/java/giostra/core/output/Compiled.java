package giostra.core.output;

import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A page as it is published.
 *
 * @param html the whole document
 * @param css the whole stylesheet
 * @param cssPath its path relative to the page; it names the content
 * @param pictures ids of the pictures it shows
 * @param blocks markup of each block of a section, by id, in page order: what a stage can swap
 * @param scripted whether it needs the page script
 * @param missing ids of pictures that were asked for and are not there
 */
public record Compiled(
    String html,
    String css,
    String cssPath,
    Set<String> pictures,
    Map<String, String> blocks,
    boolean scripted,
    List<String> missing) {}
