package giostra.server.delivery;

/** What kinds of places there are. */
enum Sort {
  /** A folder of this machine, beneath the one that the server may write to. */
  FOLDER,
  /** A store of objects that speaks as S3 does. */
  S3,
  /** A branch of a Git repository. */
  GIT,
  /** A web server that takes files. Source: RFC 4918. */
  WEBDAV
}
