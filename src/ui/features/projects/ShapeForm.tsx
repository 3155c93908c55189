import { useState } from 'react';
import { isPlainOutline, toBoxOutline, type Point } from '../../../core/layout/index.ts';
import { listPieces, listShapes } from '../../../core/projects/index.ts';
import type { CutPiece, Project } from '../../../core/records/index.ts';
import { Button } from '../../components/Button.tsx';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { OutlineEditor } from '../../components/OutlineEditor.tsx';
import { SelectField } from '../../components/fields.tsx';
import { useHousehold } from '../../state/app.ts';
import { useSaveProject } from './useSaveProject.ts';
import { perLanguage, t } from '../../language/index.ts';

const SHAPES = listShapes();
const SHAPE = perLanguage(() => ({
  rectangle: t('Rectangle'),
  narrower: t('Narrower at the top'),
  tapered: t('Narrower at the top, both sides'),
  'half-bodice': t('Half of a bodice'),
  bodice: t('Whole bodice'),
  sleeve: t('Sleeve'),
  leg: t('Leg of trousers'),
  collar: t('Collar'),
  round: t('Round'),
}));

/** The shapes of the pieces of one cloth: each begins from a usual one, and its corners are moved. */
export function ShapeForm({ project, part, onDone }: { project: Project; part: string; onDone: () => void }) {
  const { units } = useHousehold().settings;
  const save = useSaveProject(project);
  const pieces = listPieces(project, part);
  const [id, setId] = useState(pieces[0]?.id ?? '');
  const [drawn, setDrawn] = useState<ReadonlyMap<string, Point[] | null>>(new Map());
  const piece = pieces.find((one) => one.id === id);
  if (!piece) return null;
  const outlineOf = (one: CutPiece) => (drawn.has(one.id) ? drawn.get(one.id) : one.outline) ?? null;
  const draw = (outline: Point[] | null) => setDrawn(new Map(drawn).set(piece.id, outline));
  const outline = outlineOf(piece);
  const crossed = pieces.find((one) => {
    const shape = outlineOf(one);
    return shape !== null && !isPlainOutline(shape);
  });
  const keep = () => {
    if (crossed) return undefined;
    const next = (project.pieces ?? []).map((one) => {
      const { outline: _, ...bare } = one;
      const shape = outlineOf(one);
      return shape ? { ...bare, outline: shape } : bare;
    });
    return save({ pieces: next }).then(onDone);
  };
  return (
    <Form
      aria-label={t('Shapes')}
      className="mt-2 border-l-4 border-woad bg-linen p-3"
      onSend={keep}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField label={t('Piece')} autoFocus value={id} onChange={(event) => setId(event.target.value)}>
          {pieces.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
              {outlineOf(one) ? t(' (drawn)') : ''}
            </option>
          ))}
        </SelectField>
        <SelectField
          label={t('Begin from')}
          value=""
          onChange={(event) => {
            const shape = SHAPES.find((one) => one.id === event.target.value);
            if (shape) draw(shape.draw(piece.widthMm, piece.heightMm));
          }}
        >
          <option value="">{t('as it is')}</option>
          {SHAPES.map((one) => (
            <option key={one.id} value={one.id}>
              {SHAPE()[one.id]}
            </option>
          ))}
        </SelectField>
      </div>
      <div className="mt-3">
        <OutlineEditor
          key={piece.id}
          label={t('The shape of {piece}', { piece: piece.name })}
          widthMm={piece.widthMm}
          heightMm={piece.heightMm}
          outline={outline ?? toBoxOutline(piece.widthMm, piece.heightMm)}
          onChange={draw}
          units={units}
          isOnFold={piece.isOnFold}
        />
      </div>
      <p className="mt-1 text-sm text-stone">
        {t('The grain runs from top to bottom.')} {piece.isOnFold && t('The left edge is the fold.')}
      </p>
      {crossed && (
        <p role="alert" className="mt-1 text-sm font-semibold text-madder">
          {t('Edges of {crossed} cross each other.', { crossed: crossed.name })}
        </p>
      )}
      <FormFoot save={t('Keep the shapes')} onDone={onDone}>
        {outline && (
          <Button look="quiet" onClick={() => draw(null)}>
            {t('A plain rectangle')}
          </Button>
        )}
      </FormFoot>
    </Form>
  );
}
