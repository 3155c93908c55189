import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { setupI18n } from '@lingui/core';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import PO from 'pofile';
import { ROOT } from './prepare.mjs';

/** What the screens say in a language, by its catalogue: a message with its values; English is in the message itself. */
export function createSay(language) {
  const path = join(ROOT, 'src/ui/language', `${language}.po`);
  const items = language === 'en' ? [] : PO.parse(readFileSync(path, 'utf8')).items;
  const said = Object.fromEntries(items.map(({ msgid, msgstr }) => [msgid, msgstr[0]]));
  const i18n = setupI18n({ locale: language, messages: { [language]: said } });
  i18n.setMessagesCompiler(compileMessage);
  return (message, values) => {
    if (language !== 'en' && !(message in said)) throw new Error(`nothing is said for “${message}”`);
    return i18n._(message, values);
  };
}
