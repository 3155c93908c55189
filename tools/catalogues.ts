import { compileMessageOrThrow } from '@lingui/message-utils/compileMessage';
import PO from 'pofile';
import type { Plugin } from 'vite';

/** The catalogues of the other languages, each message read once and for all; what is not said in one stays English. */
export const catalogues: Plugin = {
  name: 'catalogues',
  transform: {
    filter: { id: /\.po$/ },
    handler(text) {
      const said = PO.parse(text).items.flatMap(({ msgid, msgstr: [words] }) =>
        words ? [[msgid, words] as const] : [],
      );
      const read = said.map(([message, words]) => [message, compileMessageOrThrow(words)]);
      return { code: `export default ${JSON.stringify(Object.fromEntries(read))}`, map: null };
    },
  },
};
