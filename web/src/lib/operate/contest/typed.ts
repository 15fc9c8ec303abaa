/** Whether a line is a frequency in kHz or MHz and nothing else; no contact is a number alone. */
export const isFrequency = (text: string): boolean => /^(\d{4,6}|\d{1,6}[.,]\d+)$/.test(text.trim());

/**
 * The line with another call, and room to type on.
 *
 * @param typed what stands there as the call; undefined for the first word
 */
export function withCall(text: string, typed: string | undefined, call: string): string {
  const words = text.trim().split(/\s+/);
  const at = typed ? words.findIndex((word) => word.toLowerCase() === typed.toLowerCase()) : 0;
  words[Math.max(at, 0)] = call.toLowerCase();
  return `${words.join(' ')} `;
}

/** What was typed behind a text that is done is the next line; what was changed stays in sight. */
export function typedBehind(typed: string, done: string): string {
  const now = typed.trimStart();
  return now.startsWith(done) ? now.slice(done.length).trimStart() : typed;
}
