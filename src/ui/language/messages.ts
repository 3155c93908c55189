/** A message as it is put together: text, values by their names, and counts with their words. */
export type Token = string | readonly [name: string] | readonly [name: string, 'plural', Record<string, string[]>];

/** `{name}`, or `{name, plural, one {# thing} other {# things}}`: all of ICU's messages that are written here. */
const ARGUMENT = /\{(\w+)(?:, plural, one \{([^{}]*)\} other \{([^{}]*)\})?\}/;

const splitCount = (text: string): string[] => text.split(/(#)/).filter((one) => one !== '');

/**
 * Reads a message of the source. The catalogues of other languages are read when the app is built, by the whole of
 * @lingui/message-utils; that is four times as large as this, and a test holds the two against each other.
 */
export function readMessage(message: string): Token[] {
  const tokens: Token[] = [];
  const parts = message.split(ARGUMENT);
  for (let at = 0; at < parts.length; at += 4) {
    if (parts[at]) tokens.push(parts[at]!);
    const [name, one, other] = parts.slice(at + 1, at + 4);
    if (name === undefined) break;
    if (other === undefined) tokens.push([name]);
    else tokens.push([name, 'plural', { one: splitCount(one ?? ''), other: splitCount(other) }]);
  }
  return tokens;
}
