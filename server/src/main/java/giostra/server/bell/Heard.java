package giostra.server.bell;

import tools.jackson.databind.JsonNode;

/**
 * Something that a server has told, this one or another.
 *
 * @param page that it is about; empty for all pages of the site
 * @param kind what happened; {@code missed} where nobody knows what was not heard
 */
public record Heard(String site, String page, String kind, JsonNode told) {}
