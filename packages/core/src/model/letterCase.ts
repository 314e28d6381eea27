/** The text as it stands inside a sentence: a capital goes, unless it is a letter by itself ("X") or one of several ("ACL"). */
export const lowerFirst = (text: string): string =>
  /^[A-Z](?![A-Z])/.test(text) && !/^(?:X|I|L)\b/.test(text) ? text[0]!.toLowerCase() + text.slice(1) : text;

/** The text as it begins a sentence. */
export const upperFirst = (text: string): string => text && text[0]!.toUpperCase() + text.slice(1);
