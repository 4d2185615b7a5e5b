package giostra.server.page;

/** Tells that what visitors see of a site is something else, once that is so. */
public record LiveChanged(String site) {}
