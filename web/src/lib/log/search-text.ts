/** A search box's text, as far as choices beside it put words in and take them out. */

const TOKEN = /-?(?:[A-Za-z]\w*:)?(?:"[^"]*"?|\S+)/g;

function tokens(text: string): string[] {
  return text.match(TOKEN) ?? [];
}

function quoted(value: string): string {
  return /[\s,":]/.test(value) ? `"${value}"` : value;
}

/** The values a search asks of a field, lower case. */
export function chosen(text: string, name: string): string[] {
  const start = `${name.toLowerCase()}:`;
  return tokens(text)
    .filter((token) => token.toLowerCase().startsWith(start))
    .flatMap((token) => {
      const value = token.slice(start.length);
      return value.startsWith('"') ? [value.replaceAll('"', '')] : value.split(',');
    })
    .map((value) => value.toLowerCase())
    .filter((value) => value !== '');
}

/** The search with one value of a field chosen if it was not, and not if it was. */
export function toggled(text: string, name: string, value: string): string {
  const start = `${name.toLowerCase()}:`;
  const now = chosen(text, name);
  const others = tokens(text).filter((token) => !token.toLowerCase().startsWith(start));
  const wanted = now.includes(value.toLowerCase())
    ? now.filter((v) => v !== value.toLowerCase())
    : // Two values with blanks cannot stand behind one another; the later replaces the earlier.
      /[\s,":]/.test(value) || now.some((v) => /[\s,":]/.test(v))
      ? [value]
      : [...now, value];
  return [...others, ...(wanted.length > 0 ? [`${name}:${wanted.map(quoted).join(',')}`] : [])].join(' ');
}
