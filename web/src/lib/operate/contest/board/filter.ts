import type { BoardLine } from '../../../platform/api/client';

/** What is shown of a scoreboard; empty for everything. */
export interface BoardFilter {
  category: string;
  club: string;
  continent: string;
}

/** A line with its place among all that are shown, from 1. */
export interface PlacedLine {
  place: number;
  line: BoardLine;
}

/** The lines that pass, in their order. */
export function passing(lines: BoardLine[], { category, club, continent }: BoardFilter): PlacedLine[] {
  return lines
    .filter(
      (line) =>
        (category === '' || Object.values(line.category).includes(category)) &&
        (club === '' || line.club === club) &&
        (continent === '' || line.continent === continent),
    )
    .map((line, index) => ({ place: index + 1, line }));
}

/** All that can be chosen, each once. */
export function choices(lines: BoardLine[], of: (line: BoardLine) => string[]): string[] {
  return [...new Set(lines.flatMap(of))].filter((one) => one !== '').sort((a, b) => a.localeCompare(b));
}
