package giostra.server.people;

/**
 * Who asks.
 *
 * @param person their id
 * @param name what they are called
 * @param changes whether they may change anything, or only look
 * @param itself whether it is the person, and no program of theirs
 */
public record Who(String person, String name, boolean changes, boolean itself) {}
