package giostra.server.host;

/** Media types by the ending of a path of ours; endings come from us, never from an upload. */
public final class Types {
  private Types() {}

  /** The media type of a path. */
  public static String of(String path) {
    return switch (path.substring(path.lastIndexOf('.') + 1)) {
      case "html" -> "text/html;charset=utf-8";
      case "css" -> "text/css;charset=utf-8";
      case "js" -> "text/javascript;charset=utf-8";
      case "woff2" -> "font/woff2";
      case "woff" -> "font/woff";
      case "ttf" -> "font/ttf";
      case "otf" -> "font/otf";
      case "jpg" -> "image/jpeg";
      case "png" -> "image/png";
      case "webp" -> "image/webp";
      case "gif" -> "image/gif";
      case "mp4" -> "video/mp4";
      case "webm" -> "video/webm";
      case "vtt" -> "text/vtt;charset=utf-8";
      case "svg" -> "image/svg+xml";
      case "json" -> "application/json";
      default -> "application/octet-stream";
    };
  }
}
