/** What a text of the page can have put into it: a name, a call, a count. */
export type TextPart = string | number;
