/** What a film's picture is. */
export interface FilmFacts {
  /** @unit pixels */
  readonly width: number;
  readonly height: number;
  readonly rateHz: number;
  /** Whether each frame comes when its rate says */
  readonly isConstant: boolean;
  /** Frames that were lost */
  readonly missing: number;
}

/** A file as it was found. */
export interface FoundFile {
  readonly name: string;
  readonly bytes: number;
  /** Null where it could not be read */
  readonly lengthS: number | null;
  readonly picture: FilmFacts | null;
  readonly sound: { readonly channels: number; readonly rateHz: number } | null;
  /** Why it could not be read */
  readonly problem: string | null;
}
