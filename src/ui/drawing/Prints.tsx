import type { Print } from '../../core/records/index.ts';

/** Patterns laid over a cloth's colour; one set for the whole page. */
export function PrintDefs() {
  const ink = { stroke: '#fffdf8', fill: 'none', strokeOpacity: 0.55 } as const;
  return (
    <svg aria-hidden width="0" height="0" className="absolute">
      <defs>
        <pattern id="print-stripe" width="8" height="8" patternUnits="userSpaceOnUse">
          <path d="M0 2H8" strokeWidth="2.4" {...ink} />
        </pattern>
        <pattern id="print-check" width="10" height="10" patternUnits="userSpaceOnUse">
          <path d="M0 0h5v5H0zM5 5h5v5H5z" fill="#fffdf8" fillOpacity="0.36" />
        </pattern>
        <pattern id="print-dots" width="9" height="9" patternUnits="userSpaceOnUse">
          <circle cx="3" cy="3" r="1.3" fill="#fffdf8" fillOpacity="0.75" />
          <circle cx="7.5" cy="7.5" r="1.3" fill="#fffdf8" fillOpacity="0.75" />
        </pattern>
        <pattern id="print-wave" width="12" height="9" patternUnits="userSpaceOnUse">
          <path d="M0 5q3 -5 6 0t6 0" strokeWidth="1.3" {...ink} />
        </pattern>
      </defs>
    </svg>
  );
}

export const printFill = (print: Print | undefined): string | null =>
  print && print !== 'solid' ? `url(#print-${print})` : null;
