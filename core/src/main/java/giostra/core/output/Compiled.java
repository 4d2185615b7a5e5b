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
 * @param pictures paths of the media files that it asks for, pictures in all their sizes
 * @param blocks markup of each block of a section, by id, in page order: what a stage can swap
 * @param scripts paths of the scripts it needs, in the order in which they run
 * @param missing ids of pictures, clips and captions that were asked for and are not there
 * @param origins other places that it needs
 */
public record Compiled(
    String html,
    String css,
    String cssPath,
    Set<String> pictures,
    Map<String, String> blocks,
    List<String> scripts,
    List<String> missing,
    Origins origins) {}
