import { useMemo, useState } from 'react';
import { formatPieceLine, isSameWord, parsePieceLine, type PieceFault } from '../../../core/projects/index.ts';
import type { CutPiece, Project } from '../../../core/records/index.ts';
import { AreaField } from '../../components/fields.tsx';
import { Form } from '../../components/Form.tsx';
import { FormFoot } from '../../components/FormFoot.tsx';
import { useHousehold, world } from '../../state/app.ts';
import { useSaveProject } from './useSaveProject.ts';
import { perLanguage, getLineLanguage, t } from '../../language/index.ts';

const FAULTS = perLanguage((): Record<PieceFault, string> => ({
  'no-size': t('has no size: write it as 38 × 62.'),
  'no-name': t('has no name.'),
  size: t('is larger than any cloth, or nothing.'),
  count: t('is cut between 1 and 500 times.'),
  shape: t('has corners that cross, are fewer than three or lie outside its size: write 0 0, 20 0, 16 12.'),
}));
/** A project takes so many kinds of piece. */
const MOST = 500;

interface PiecesFormProps {
  readonly project: Project;
  readonly part: string;
  readonly onDone: () => void;
}

/** The pieces of one cloth, a line each, read as they are typed. */
export function PiecesForm({ project, part, onDone }: PiecesFormProps) {
  const { units } = useHousehold().settings;
  const save = useSaveProject(project);
  const isOfPart = (piece: CutPiece) => isSameWord(piece.part, part);
  const [text, setText] = useState(() =>
    (project.pieces ?? [])
      .filter(isOfPart)
      .map((piece) => formatPieceLine(piece, units, getLineLanguage()?.piece))
      .join('\n'),
  );
  const lines = useMemo(
    () =>
      text
        .split('\n')
        .filter((line) => line.trim() !== '')
        .map((line, n) => ({ line, read: parsePieceLine(line, units, `piece-${n}`, getLineLanguage()?.piece) })),
    [text, units],
  );
  const bad = lines.find(({ read }) => !read.ok);
  const pieces = lines.flatMap(({ read }) => (read.ok ? [{ ...read.value, part, id: world.createId() }] : []));
  const others = (project.pieces ?? []).filter((piece) => !isOfPart(piece));
  const fault =
    bad && !bad.read.ok
      ? `“${bad.line.trim()}” ${FAULTS()[bad.read.fault]}`
      : pieces.length + others.length > MOST
        ? t('At most {most} kinds of piece.', { most: MOST })
        : undefined;
  return (
    <Form
      aria-label={t('Pieces')}
      className="mt-2 border-l-4 border-woad bg-linen p-3"
      onSend={() => (fault ? undefined : save({ pieces: [...others, ...pieces] }).then(onDone))}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <AreaField
        label={t('Its pieces, one a line, as they are cut')}
        rows={8}
        maxLength={20_000}
        autoFocus
        placeholder={t('2 sleeves 38 × 62\nback 46 × 74 on the fold\n4 pockets 15 × 15 either way')}
        value={text}
        fault={fault}
        hint={t('Across × along the grain. {pieces, plural, one {# piece} other {# pieces}} so far.', {
          pieces: pieces.reduce((sum, piece) => sum + piece.count, 0),
        })}
        onChange={(event) => setText(event.target.value)}
      />
      <FormFoot save={t('Keep them')} onDone={onDone} />
    </Form>
  );
}
