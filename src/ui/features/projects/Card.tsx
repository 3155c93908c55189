import { encodeQR } from 'qr';
import { useMemo } from 'react';
import { formatCode } from '../../../core/labels/index.ts';
import type { Project } from '../../../core/records/index.ts';
import { t } from '../../language/index.ts';

/** The code of a project, large enough for the camera of a phone; on paper it stands over its page. */
export function Card({ project }: { project: Project }) {
  const code = project.label?.code;
  const drawn = useMemo(() => {
    if (!code) return null;
    const grid = encodeQR(code, 'raw', { ecc: 'medium', border: 1 });
    const path = grid.flatMap((row, y) => row.map((isDark, x) => (isDark ? `M${x} ${y}h1v1h-1z` : ''))).join('');
    return { path, side: grid.length };
  }, [code]);
  if (!code || !drawn) return null;
  return (
    <div className="hidden items-center gap-4 print:flex" data-testid="card">
      <svg role="img" aria-label={t('Its code')} viewBox={`0 0 ${drawn.side} ${drawn.side}`} width="96" height="96">
        <path d={drawn.path} fill="#000" />
      </svg>
      <span className="label-paper text-lg">{formatCode(code)}</span>
    </div>
  );
}
