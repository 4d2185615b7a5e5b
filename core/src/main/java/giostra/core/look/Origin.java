package giostra.core.look;

/**
 * Where a value was found.
 *
 * @param layer who set it
 * @param band id of the band it was set in; empty where it holds in all
 * @param state the state it was set for
 */
public record Origin(Layer layer, String band, State state) {}
