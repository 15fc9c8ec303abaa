import type { AgreedPiece } from '../../../platform/api/client';

/** A character of the agreed text. */
export interface Letter {
  text: string;
  doubtful: boolean;
}

/** What stands between blanks. */
export interface Word {
  text: string;
  letters: Letter[];
  /** Whether its end was received; until then it may become longer. */
  whole: boolean;
}

/** The lines of the agreed text as words, the last ones only. */
export function lastLines(pieces: AgreedPiece[], count: number): Word[][] {
  const lines: Word[][] = [[]];
  let word: Letter[] = [];
  const end = (whole: boolean) => {
    if (word.length > 0) {
      lines.at(-1)?.push({ text: word.map((one) => one.text).join(''), letters: word, whole });
    }
    word = [];
  };
  for (const piece of pieces) {
    for (const text of piece.text) {
      if (text === '\n') {
        end(true);
        lines.push([]);
      } else if (text === ' ') {
        end(true);
      } else {
        word.push({ text, doubtful: piece.doubtful });
      }
    }
  }
  end(false);
  return lines.filter((line) => line.length > 0).slice(-count);
}
