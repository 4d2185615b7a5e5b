package giostra.server.falena;

/** Ways in which hosts misbehave, each as a clip of that name: what asks must withstand them. */
enum Mischief {
  /** Answers after a long while. */
  SLOW,
  /** Fails. */
  FAILING,
  /** Answers with something that is no JSON. */
  GARBLED,
  /** Says that scripts belong to its player. */
  SCRIPTED,
  /** Says that its player is somewhere else. */
  ELSEWHERE,
  /** Sends whoever asks for its picture to another place on the same machine. */
  ASTRAY,
  /** Knows XML only, which is no mischief; with entities that would grow without end. */
  BLOATED,
  /** Has something that is no clip. */
  STILL,
  /** Has something that is neither clip nor picture, to be used where it stands. */
  SCENE,
  /** Answers without end. */
  ENDLESS
}
