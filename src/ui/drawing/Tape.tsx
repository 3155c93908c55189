import type { UnitSystem } from '../../core/units/index.ts';

/** The measuring tape over a drawing, true to its scale: a tick every centimetre or inch that can be told apart. */
export function Tape({
  lengthMm,
  scale,
  offsetPx,
  system,
}: {
  lengthMm: number;
  scale: number;
  offsetPx: number;
  system: UnitSystem;
}) {
  const unitMm = system === 'metric' ? 10 : 25.4;
  const steps = [1, 2, 5, 10, 20, 50];
  const minor = steps.find((step) => step * unitMm * scale >= 4) ?? 50;
  const major =
    (system === 'metric' ? [10, 20, 50, 100] : [6, 12, 24, 36, 72]).find((step) => step * unitMm * scale >= 44) ?? 100;
  const count = Math.floor(lengthMm / unitMm / minor + 1e-6);
  const width = lengthMm * scale;
  return (
    <svg aria-hidden data-testid="tape" className="block shrink-0" width="100%" height="24">
      <g transform={`translate(${offsetPx} 0)`}>
        <rect x="0" y="2" width={width} height="20" fill="var(--color-tape)" stroke="var(--color-tape-line)" />
        {Array.from({ length: count + 1 }, (_, i) => {
          const at = i * minor;
          const isMajor = at % major === 0;
          const x = at * unitMm * scale;
          return (
            <g key={at}>
              <path d={`M${x.toFixed(1)} 22v${isMajor ? -11 : -6}`} stroke="var(--color-tape-ink)" strokeWidth="1" />
              {isMajor && at > 0 && x < width - 12 && (
                <text x={x} y="13" fontSize="13" textAnchor="middle" fill="var(--color-tape-ink)">
                  {at}
                </text>
              )}
            </g>
          );
        })}
      </g>
    </svg>
  );
}
