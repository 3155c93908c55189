import type { Kind } from '../records/index.ts';
import { parseLengthMm, type AmountFault, type UnitSystem } from '../units/index.ts';
import {
  capitalise,
  nameOf,
  PHRASE_ENDS,
  tokenise,
  type LinePart,
  type Meaning,
  type Quantity,
  type Token,
} from './lineWords.ts';
import type { Spelling } from '../spelling/index.ts';
import type { Sketch } from './sketch.ts';

/** How a line is read. */
export interface LineContext {
  /** What a line means that does not say: the page it was typed on; or, where that is said, what it is whatever the words say. */
  readonly kind: Kind;
  readonly units: UnitSystem;
  readonly isKindSaid?: boolean;
  /** What the sewist said some stretches of the line mean, by their text. */
  readonly meant?: ReadonlyMap<string, Meaning>;
  /** Another language that it may be typed in. */
  readonly spelling?: Spelling | undefined;
}

type LineSaid = { -readonly [K in keyof Sketch]?: Sketch[K] };

/** What was made of a line so far: which of its words are read, as what, and what they say. */
export class LineMarks {
  protected readonly tokens: readonly Token[];
  protected readonly used = new Set<number>();
  readonly parts: LinePart[] = [];
  readonly faults: AmountFault[] = [];
  readonly quantities: Quantity[] = [];
  readonly said: LineSaid = {};
  reservedFor: string | null = null;
  /** Cut so by the shop: each piece so long and so wide. */
  precut: { readonly eachMm: number; readonly widthMm: number } | null = null;

  constructor(
    protected readonly text: string,
    protected readonly context: LineContext,
  ) {
    this.tokens = tokenise(text, context.spelling);
  }

  protected mark(from: number, to: number, means: Meaning, isName = false): void {
    this.parts.push({ from, to, text: this.text.slice(from, to), means });
    if (!isName)
      for (const [i, token] of this.tokens.entries()) if (token.from >= from && token.to <= to) this.used.add(i);
  }

  /** What the sewist said is only a part of the name. */
  protected readCorrected(i: number): number {
    const { from } = this.tokens[i] as Token;
    for (const [text, means] of this.context.meant ?? []) {
      if (means !== 'name' || !this.text.startsWith(text, from)) continue;
      const taken = this.tokens.slice(i).filter((one) => one.to <= from + text.length).length;
      if (taken === 0 || this.tokens[i + taken - 1]!.to !== from + text.length) continue;
      this.mark(from, from + text.length, 'name', true);
      return taken;
    }
    return 0;
  }

  /** What it is promised to, to the end of the line or to the next sign that something else begins; or where it was bought. */
  protected readPhrase(i: number): number {
    const { word, from } = this.tokens[i] as Token;
    const ends = PHRASE_ENDS[word];
    if (!ends) return 0;
    let end = i + 1;
    while (end < this.tokens.length && !ends.test(this.tokens[end]!.word)) end += 1;
    if (end === i + 1) return 0;
    const { to } = this.tokens[end - 1] as Token;
    const said = this.text
      .slice(this.tokens[i + 1]!.from, to)
      .replace(/[,;]$/u, '')
      .slice(0, 120);
    if (word === 'for') this.reservedFor = said;
    else this.said.source = said;
    this.mark(from, to, word as 'for' | 'from');
    return end - i;
  }

  protected setWord<K extends keyof Sketch>(
    i: number,
    means: Meaning,
    isName: boolean,
    field: K,
    value: Sketch[K] | undefined,
  ) {
    const { from, to } = this.tokens[i] as Token;
    this.said[field] = value;
    this.mark(from, to, means, isName);
    return 1;
  }

  /** What the sewist said an amount means; null where nothing was said. */
  getMeant({ from, to }: Quantity): Meaning | null {
    return this.context.meant?.get(this.text.slice(from, to)) ?? null;
  }

  /** The words that are no amount: the name as it was typed. */
  getName(): string {
    return nameOf(this.tokens, this.used);
  }

  /** A kit is called by what it is for: `Kit for the smock`. */
  getKitName(): string {
    const [kit, forWhat] = (['kind', 'for'] as const).map(
      (means) => this.parts.find((one) => one.means === means)?.text,
    );
    return capitalise(`${kit ?? 'kit'} ${forWhat ?? ''}`).slice(0, 120);
  }

  /** Reads a gathered amount; a fault is kept with its stretch of the line. */
  take(quantity: Quantity, means: Meaning, read: (text: string) => ReturnType<typeof parseLengthMm>): number | null {
    const parsed = read(`${quantity.number} ${quantity.unit}`);
    const text = this.text.slice(quantity.from, quantity.to);
    if (!parsed.ok) this.faults.push({ ...parsed.fault, text });
    else if (parsed.value <= 0) this.faults.push({ code: 'zero', text });
    else {
      this.parts.push({ from: quantity.from, to: quantity.to, text, means });
      return parsed.value;
    }
    return null;
  }
}
