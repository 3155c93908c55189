import { isShade, parseColourWord } from '../colour/index.ts';
import { parseDay } from '../units/index.ts';
import { findType } from './figures.ts';
import { LineMarks } from './lineMarks.ts';
import {
  CLOTH_WORDS,
  CUT_WORDS,
  FIBRE_WORDS,
  FORM_WORDS,
  GARMENT_WORDS,
  HOLDER_WORDS,
  KIND_WORDS,
  PRECUTS,
  PRINT_WORDS,
  THREAD_USES,
  VAGUE_CLOTHS,
  WEAVE_WORDS,
} from './words.ts';

import {
  isKnownWord,
  isUnit,
  KEYWORDS,
  NUMBER,
  OF_CLOTH,
  readShape,
  toTex,
  toSingular,
  WASHED,
  type Quantity,
  type Token,
} from './lineWords.ts';

/** Collects what the line says, word by word; amounts wait until the kind is known. */
export class LineReader extends LineMarks {
  /** The cloth was told by a word that only says how it is made, until another says what it is. */
  private isClothVague = false;

  /** Reads all words; amounts are only gathered. */
  gather(): void {
    for (let i = 0; i < this.tokens.length; i += 1) i += this.readAt(i) - 1;
  }

  /** Reads what begins at token `i`; the number of tokens it took, at least one. */
  private readAt(i: number): number {
    const token = this.tokens[i] as Token;
    const next = this.tokens[i + 1];
    const { word } = token;
    const { said } = this;
    const corrected = this.readCorrected(i);
    if (corrected > 0) return corrected;
    const shape = readShape(word);
    if (shape) {
      const { field, value, means } = shape;
      const isList = field === 'colours' || field === 'tags';
      Object.assign(said, { [field]: isList ? [...(said[field] ?? []), value] : value });
      const before = this.tokens[i - 1];
      this.mark(means === 'hours' && before?.word === 'used' ? before.from : token.from, token.to, means);
      return 1;
    }
    const phrase = this.readPhrase(i);
    if (phrase > 0) return phrase;
    const expires = word === 'expires' || word === 'exp' ? this.readExpiry(i) : 0;
    if (expires > 0) return expires;
    const keyed = this.readKeyword(token, next);
    if (keyed > 0) return keyed;
    if (/^[-−–]\s?[\d.,]/u.test(token.text)) {
      this.faults.push({ code: 'negative', text: token.text });
      this.used.add(i);
      return 1;
    }
    const times = /^(?:x|×|by)$/u.test(word);
    if (times && next && NUMBER.test(next.word)) return 1 + this.readNumber(i + 1, token.from, true);
    const joined = /^[x×](\d.*)$/u.exec(token.text.toLowerCase());
    if (joined) return this.readNumber(i, token.from, true, joined[1]);
    if (NUMBER.test(word)) return this.readNumber(i, token.from, false);
    return this.readWord(i);
  }

  private readExpiry(i: number): number {
    const at = this.tokens[i + 1]?.word === 'until' ? i + 2 : i + 1;
    const said = this.tokens[at];
    const day = said && parseDay(said.word);
    if (!day) return 0;
    this.said.expiresOn = day;
    this.mark(this.tokens[i]!.from, said.to, 'expiry');
    return at - i + 1;
  }

  private readKeyword(token: Token, next: Token | undefined): number {
    const means = KEYWORDS[token.word];
    if (!means || !next) return 0;
    const { said } = this;
    if (means === 'size' || means === 'sizes') {
      if (!/^[\dx(][\w/(),+–-]*$|^(xs|s|m|l|xl|xxl)\b.*$/iu.test(next.word)) return 0;
      if (means === 'size') said.size = next.word;
      else said.sizes = next.word;
      this.mark(token.from, next.to, means);
      return 2;
    }
    const value = Number(next.word.replace(',', '.'));
    if (!(value > 0)) return 0;
    if (means === 'tex') said.tex = toTex(value, token.word);
    else if (means === 'cost') said.cost = value;
    else said.number = Math.round(value);
    this.mark(token.from, next.to, means);
    return 2;
  }

  /** A number with its unit, or with the word that it counts. */
  private readNumber(i: number, from: number, isTimes: boolean, text?: string): number {
    const token = this.tokens[i] as Token;
    const whole = text ?? token.word;
    // 90/14, 80/12: a needle's size, and no fraction.
    if (/^\d{2,3}\/\d{2}$/u.test(whole)) {
      this.said.size = whole;
      this.mark(from, token.to, 'size');
      return 1;
    }
    const match = NUMBER.exec(whole) as RegExpExecArray;
    let number = match[1] as string;
    let unit = match[2] as string;
    let taken = 1;
    let at = this.tokens[i + 1];
    // 2 1/2
    if (unit === '' && /^\d+$/u.test(number) && at && /^\d\/\d{1,2}/u.test(at.word)) {
      const fraction = /^(\d\/\d{1,2})(.*)$/u.exec(at.word) as RegExpExecArray;
      number = `${number} ${fraction[1]}`;
      unit = fraction[2] as string;
      taken += 1;
      at = this.tokens[i + 2];
    }
    let to = (this.tokens[i + taken - 1] as Token).to;
    // "40 wt" and "40wt" are said as often as "wt 40"; a number has just one of the two beside it.
    const fineness = unit === '' && at ? at : { word: unit, to };
    const value = Number(number.replace(',', '.'));
    if (KEYWORDS[fineness.word] === 'tex' && value > 0) {
      this.said.tex = toTex(value, fineness.word);
      this.mark(from, fineness.to, 'tex');
      return fineness === at ? taken + 1 : taken;
    }
    if (unit === '' && at && (isUnit(at.word) || at.word in HOLDER_WORDS)) {
      unit = at.word;
      to = at.to;
      taken += 1;
    } else if (
      unit === '' &&
      !isTimes &&
      at &&
      this.expectsLength() &&
      /^[a-z]/u.test(at.word) &&
      !isKnownWord(at.word)
    ) {
      this.faults.push({ code: 'unknown-unit', text: this.text.slice(from, at.to), unit: at.word });
      for (let n = i; n <= i + taken; n += 1) this.used.add(n);
      return taken + 1;
    }
    if (unit !== '' && !isUnit(unit) && !(unit in HOLDER_WORDS)) {
      const isWordy = /^[a-z"'”″]+$/u.test(unit);
      this.faults.push(
        isWordy
          ? { code: 'unknown-unit', text: this.text.slice(from, to), unit }
          : { code: 'not-a-number', text: this.text.slice(from, to) },
      );
      for (let n = i; n < i + taken; n += 1) this.used.add(n);
      return taken;
    }
    const quantity: Quantity = { from, to, number, unit, isTimes, isWide: false };
    const after = this.tokens[i + taken];
    if (after?.word === 'wide') {
      quantity.isWide = true;
      quantity.to = after.to;
      taken += 1;
    }
    this.quantities.push(quantity);
    for (const [n, one] of this.tokens.entries()) if (one.from >= from && one.to <= quantity.to) this.used.add(n);
    if (unit in HOLDER_WORDS) this.said.holder = HOLDER_WORDS[unit];
    return taken;
  }

  private expectsLength(): boolean {
    const kind = this.said.kind ?? this.context.kind;
    return (kind === 'fabric' && !this.said.type) || kind === 'scrap';
  }

  /** How many words were read; the first that knows the word has it. */
  private readWord(i: number): number {
    const read =
      this.readClothOrType(i) || this.readKind(i) || this.readMake(i) || this.readColour(i) || this.readState(i);
    return read || 1;
  }

  /** Types come before cloth: "elastic" on its own is a notion, "quilting cotton" a cloth. */
  private readClothOrType(i: number): number {
    const { said } = this;
    const token = this.tokens[i] as Token;
    const next = this.tokens[i + 1];
    // A light blue is no lamp, and squares of cloth are no rulers.
    if (token.word in CUT_WORDS || (next && isShade(token.word) && parseColourWord(next.word, token.word))) return 0;
    const readings = [
      ...(next ? [[`${token.word} ${next.word}`, next.to, 2] as const] : []),
      [token.word, token.to, 1] as const,
    ];
    for (const [typed, to, taken] of readings) {
      const words = toSingular(typed, (one) => one in CLOTH_WORDS || one in PRECUTS || findType(one) !== null);
      if (words in PRECUTS) {
        this.precut = PRECUTS[words]!;
        said.kind = 'fabric';
        this.mark(token.from, to, 'cut', true);
        return taken;
      }
      if (words in CLOTH_WORDS && (!said.cloth || this.isClothVague)) {
        this.isClothVague = VAGUE_CLOTHS.has(words);
        const [cloth, fibre] = CLOTH_WORDS[words] as readonly [string, string?];
        // "linen" is a fibre and, where nothing else is said, a class of its own.
        const isFibre = words === 'linen';
        if (isFibre) said.fibre = 'linen';
        else said.cloth = cloth;
        if (fibre && (!said.fibre || said.fibre === 'knit')) said.fibre = fibre;
        this.mark(token.from, to, isFibre ? 'fibre' : 'cloth', true);
        return taken;
      }
      if (words === 'hand' || (words === 'elastic' && said.kind === 'thread')) continue;
      const figures = findType(words);
      // Satin ribbon is no satin, and jersey needles are needles.
      if (figures && said.cloth && !said.type && OF_CLOTH.has(figures.type)) {
        delete said.cloth;
        delete said.fibre;
      }
      if (figures && !said.type && !said.cloth && said.kind !== 'pattern' && said.kind !== 'kit') {
        said.type = figures.type;
        said.kind ??= figures.kind;
        this.mark(token.from, to, 'type', true);
        return taken;
      }
    }
    return 0;
  }

  /** What it is: a kind, a cut that only scraps have, what thread is wound on. */
  private readKind(i: number): number {
    const { said } = this;
    const { word } = this.tokens[i] as Token;
    const next = this.tokens[i + 1];
    // Thread snips are snips.
    if (
      word === 'thread' &&
      next &&
      findType(
        toSingular(next.word, (one) => findType(one) !== null),
        'tool',
      )
    )
      return 0;
    if (word in KIND_WORDS) {
      const kind = KIND_WORDS[word];
      // A type read before was part of the name: "button thread", "zip pattern".
      if (kind === 'thread' || kind === 'pattern' || kind === 'scrap') delete said.type;
      if (kind === 'thread') said.use ??= this.tokens.slice(0, i).find((one) => THREAD_USES.includes(one.word))?.word;
      return this.setWord(i, 'kind', kind === 'scrap' || kind === 'kit' || kind === 'thread', 'kind', kind);
    }
    if (word in CUT_WORDS) {
      said.kind = 'scrap';
      return this.setWord(i, 'cut', true, 'cut', CUT_WORDS[word]);
    }
    if (word in HOLDER_WORDS) {
      said.kind ??= 'thread';
      return this.setWord(i, 'holder', true, 'holder', HOLDER_WORDS[word]);
    }
    return 0;
  }

  /** What a cloth is made of and how, and the form that it is kept in. */
  private readMake(i: number): number {
    const { said } = this;
    const { word } = this.tokens[i] as Token;
    const fibre = toSingular(word, (one) => FIBRE_WORDS.includes(one));
    if (FIBRE_WORDS.includes(fibre)) return this.setWord(i, 'fibre', true, 'fibre', fibre);
    if (WEAVE_WORDS.includes(word) && (said.fibre || said.cloth)) return this.setWord(i, 'weave', true, 'weave', word);
    // Of these the name says the cloth, too.
    if (word === 'gingham' && !said.cloth) Object.assign(said, { cloth: 'poplin', fibre: said.fibre ?? 'cotton' });
    if (word in PRINT_WORDS && said.kind !== 'pattern')
      return this.setWord(i, 'print', true, 'print', PRINT_WORDS[word]);
    if (word in FORM_WORDS && i > 0) return this.setWord(i, 'form', false, 'form', FORM_WORDS[word]);
    return 0;
  }

  /** A colour, with its shade before it. */
  private readColour(i: number): number {
    const token = this.tokens[i] as Token;
    const next = this.tokens[i + 1];
    const shaded = next && isShade(token.word) ? parseColourWord(next.word, token.word) : null;
    const colour = shaded ?? parseColourWord(token.word);
    if (!colour) return 0;
    this.said.colours = [...(this.said.colours ?? []), colour].slice(0, 8);
    this.mark(token.from, next && shaded ? next.to : token.to, 'colour', true);
    return shaded ? 2 : 1;
  }

  /** What became of it, and what it is for. */
  private readState(i: number): number {
    const { said } = this;
    const { word } = this.tokens[i] as Token;
    const flag = WASHED[word];
    if (flag !== undefined) return this.setWord(i, 'washed', false, 'isWashed', flag);
    if (word === 'made') return this.setWord(i, 'made', false, 'isMade', true);
    if (word === 'pdf' || word === 'digital' || word === 'printed') {
      said.kind ??= 'pattern';
      return this.setWord(i, 'format', false, 'format', word === 'printed' ? 'sheets' : 'digital');
    }
    if (word === 'used' && /^\d/u.test(this.tokens[i + 1]?.word ?? '')) {
      this.used.add(i);
      return 1;
    }
    if (THREAD_USES.includes(word) && !said.use) return this.setWord(i, 'use', true, 'use', word);
    if (GARMENT_WORDS.includes(word)) return this.setWord(i, 'garment', true, 'garment', word);
    return 0;
  }
}
