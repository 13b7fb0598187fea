/** Text as people type and paste it, made into what a document keeps. */

/**
 * Control characters of any kind, line breaks and tabs among them, and halves of characters that no
 * encoding can write.
 */
const UNWRITABLE = /[\p{Cc}\p{Cs}\u2028\u2029]+/gu;
/** In free text a line break and a tab may stand. */
const UNWRITABLE_IN_TEXT = /[^\P{Cc}\n\t]|\p{Cs}/gu;

/**
 * A pasted name as one line: a tab or line break becomes a space, what cannot be written is left out.
 * @param limit most UTF-16 units kept; no character is cut in two
 */
export const cleanLine = (text: string, limit = 80): string =>
  cut(text.replace(UNWRITABLE, ' ').replace(/ {2,}/g, ' ').trim(), limit).trim();

/** Pasted notes: line ends as `\n`, what cannot be written left out. */
export const cleanText = (text: string, limit = 20_000): string =>
  cut(text.replace(/\r\n?/g, '\n').replace(UNWRITABLE_IN_TEXT, ''), limit);

/** The beginning of a text, never half a character. */
export const cut = (text: string, limit: number): string =>
  text.length <= limit ? text : text.slice(0, limit).replace(/[\uD800-\uDBFF]$/, '');

/** The beginning of a text with an ellipsis where something was left out. */
export const shorten = (text: string, limit: number): string =>
  text.length <= limit ? text : `${cut(text, limit - 1)}…`;

/** A text that every store and encoding takes: NUL and half characters become the replacement character. */
export const writable = (text: string): string => text.replace(/\0|\p{Cs}/gu, '\uFFFD');
