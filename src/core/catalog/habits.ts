import type { Kind, StowForm } from '../records/index.ts';
import type { Sketch } from './sketch.ts';

/** What was said last, and holds for what is taken in next until something else is said. */
export interface Habits {
  /** Where it was bought. */
  readonly source?: string;
  /** How wide, mm, for each class of cloth: quilting cotton comes in other widths than coating. */
  readonly widths: Readonly<Record<string, number>>;
  readonly forms: Readonly<Partial<Record<Kind, StowForm>>>;
}

export const NO_HABITS: Habits = { widths: {}, forms: {} };

/** What a sketch takes over from the one before: only what it does not say itself. */
export type Recalled = Pick<Sketch, 'source' | 'widthMm' | 'form'>;

const classOf = ({ cloth, fibre }: Sketch): string => cloth ?? fibre ?? '';

/** What was said last time and not now. */
export function recall(sketch: Sketch, habits: Habits): Recalled {
  const width = sketch.kind === 'fabric' ? habits.widths[classOf(sketch)] : undefined;
  const form = habits.forms[sketch.kind];
  return {
    ...(habits.source !== undefined && sketch.source === undefined && { source: habits.source }),
    ...(width !== undefined && sketch.widthMm === undefined && { widthMm: width }),
    ...(form !== undefined && sketch.form === undefined && { form }),
  };
}

/** What was said holds from now on; what was not said holds on. */
export function remember(habits: Habits, sketch: Sketch): Habits {
  const { source, widthMm, form, kind } = sketch;
  return {
    ...habits,
    ...(source !== undefined && { source }),
    ...(widthMm !== undefined && kind === 'fabric' && { widths: { ...habits.widths, [classOf(sketch)]: widthMm } }),
    ...(form !== undefined && { forms: { ...habits.forms, [kind]: form } }),
  };
}

/** What was taken over is not said again. */
export function forget(habits: Habits, sketch: Sketch): Habits {
  const { source: _source, ...rest } = habits;
  const { [classOf(sketch)]: _width, ...widths } = habits.widths;
  const { [sketch.kind]: _form, ...forms } = habits.forms;
  return { ...rest, widths, forms };
}
