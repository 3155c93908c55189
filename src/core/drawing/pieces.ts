import { getColour } from '../colour/index.ts';
import type { Item, StowForm } from '../records/index.ts';
import { getLook, type Look } from './looks.ts';
import { createPen, type Box, type Pen } from './pen.ts';
import { getDrawnPrint } from './prints.ts';
import type { Shape } from './shapes.ts';

type Draw = (pen: Pen, colour: string) => Shape[];

const TICK_MM = 20;

/** A ruler with a mark every 2 cm along its longer side, a longer one every 10. */
const drawRuler: Draw = (pen) => {
  const { x, y, width, height } = pen.box;
  const isTall = height >= width;
  const [along, across] = isTall ? [height, width] : [width, height];
  const spot = (at: number, inward: number): [number, number] => (isTall ? [x + inward, y + at] : [x + at, y + inward]);
  const shapes: Shape[] = [pen.rect(0, 0, 100, 100, 'ruler', { round: 4 })];
  for (let at = TICK_MM; at < along; at += TICK_MM) {
    const long = Math.min(across * (at % 100 === 0 ? 0.34 : 0.2), 26);
    shapes.push({ type: 'path', points: [spot(at, 0), spot(at, long)], isClosed: false, ink: 'tick' });
  }
  const radius = Math.min(4, width / 2, height / 4);
  shapes.push({ type: 'circle', x: x + width / 2, y: y + 2.5 * radius, radius, ink: 'hole' });
  return shapes;
};

const drawScissors: Draw = (pen, colour) => {
  const { x, y, width, height } = pen.box;
  const ring = Math.min(width * 0.22, height * 0.14);
  const [mid, pivot] = [x + width / 2, y + height * 0.45];
  const half = (side: 1 | -1): Shape[] => {
    const [cx, cy] = [mid + side * ring * 1.15, y + ring * 1.05];
    return [
      {
        type: 'path',
        points: [
          [mid + side * ring * 0.9, y + 2 * ring],
          [mid + side * ring * 0.3, pivot],
          [mid - side * ring * 0.55, y + height],
          [mid - side * ring * 0.1, pivot],
          [mid + side * ring * 0.45, y + 2 * ring],
        ],
        isClosed: true,
        ink: 'blade',
      },
      { type: 'circle', x: cx, y: cy, radius: ring, ink: 'thing', colour },
      { type: 'circle', x: cx, y: cy, radius: ring * 0.55, ink: 'hole' },
    ];
  };
  return [...half(-1), ...half(1), { type: 'circle', x: mid, y: pivot, radius: ring * 0.22, ink: 'hole' }];
};

/** A spool on its end: flanges above and below, the thread between; a cone where it is wide. */
const drawSpool: Draw = (pen, colour) => [
  pen.rect(12, 0, 76, 100, 'flange', { round: 2 }),
  pen.rect(20, 15, 60, 70, 'thing', { colour }),
  pen.line([20, 40, 80, 34], 'shade'),
  pen.line([20, 66, 80, 60], 'shade'),
];
const drawCone: Draw = (pen, colour) => [
  pen.rect(40, 0, 20, 10, 'flange'),
  pen.outline([34, 6, 66, 6, 96, 94, 4, 94], 'thing', colour),
  pen.line([24, 36, 77, 30], 'shade'),
  pen.line([14, 66, 88, 60], 'shade'),
  pen.rect(0, 94, 100, 6, 'flange'),
];

/** A reel: seen on its face where it is about as high as wide, else on its rim. */
const drawReel: Draw = (pen, colour) => {
  const { width, height } = pen.box;
  const isFace = Math.max(width, height) < 1.4 * Math.min(width, height);
  if (isFace)
    return [
      pen.disc(50, 50, 50, 'flange'),
      pen.disc(50, 50, 43, 'thing', colour),
      pen.disc(50, 50, 30, 'shade'),
      pen.disc(50, 50, 14, 'hole'),
    ];
  if (height > width)
    return [
      pen.rect(0, 0, 16, 100, 'flange'),
      pen.rect(84, 0, 16, 100, 'flange'),
      pen.rect(16, 6, 68, 88, 'thing', { colour }),
    ];
  return [
    pen.rect(0, 0, 100, 16, 'flange'),
    pen.rect(0, 84, 100, 16, 'flange'),
    pen.rect(6, 16, 88, 68, 'thing', { colour }),
  ];
};

const BUTTONS = [
  [22, 84],
  [48, 82],
  [76, 84],
  [34, 66],
  [62, 64],
  [80, 62],
  [24, 50],
  [50, 48],
] as const;

const DRAWN: Readonly<Record<Look, Draw>> = {
  scissors: drawScissors,
  ruler: drawRuler,
  reel: drawReel,
  // Base, column, arm, head with its needle, and the wheel at the right.
  machine: (pen, colour) => [
    pen.rect(93, 20, 7, 24, 'dark', { round: 6 }),
    pen.rect(0, 80, 100, 20, 'thing', { colour, round: 12 }),
    pen.outline([94, 82, 66, 82, 66, 44, 27, 40, 27, 56, 4, 56, 4, 12, 10, 5, 88, 5, 94, 12], 'thing', colour),
    pen.line([15, 56, 15, 77], 'steel'),
    pen.line([9, 79, 21, 79], 'steel'),
    pen.rect(70, 0, 5, 5, 'flange'),
    pen.disc(81, 25, 8, 'hole'),
    pen.rect(38, 14, 28, 12, 'hole', { round: 4 }),
  ],
  // A block with a sloping front, its cones behind it.
  overlocker: (pen, colour) => [
    ...[30, 48, 66, 84].map((x) => pen.rect(x - 5, 0, 10, 30, 'flange', { round: 4 })),
    pen.outline([20, 22, 98, 22, 98, 100, 0, 100, 0, 70, 12, 62], 'thing', colour),
    pen.line([12, 62, 98, 62], 'shade'),
    ...[36, 52, 68].map((x) => pen.disc(x, 42, 5, 'hole')),
    pen.line([10, 66, 10, 84], 'steel'),
  ],
  iron: (pen, colour) => [
    pen.outline([2, 82, 8, 50, 24, 22, 44, 6, 70, 2, 92, 10, 98, 26, 100, 82], 'thing', colour),
    pen.outline([30, 56, 36, 38, 52, 24, 72, 20, 82, 28, 84, 56], 'hole'),
    pen.outline([0, 86, 98, 86, 100, 100, 0, 100], 'blade'),
  ],
  // A spine with its bands and title; lying, the same on its side.
  book: (pen, colour) => {
    const { width, height } = pen.box;
    const bands =
      height >= width
        ? [pen.line([0, 12, 100, 12], 'shade'), pen.line([0, 84, 100, 84], 'shade'), pen.rect(22, 22, 56, 34, 'hole')]
        : [pen.line([12, 0, 12, 100], 'shade'), pen.line([84, 0, 84, 100], 'shade'), pen.rect(24, 22, 40, 56, 'hole')];
    return [pen.rect(0, 0, 100, 100, 'thing', { colour, round: 2 }), ...bands];
  },
  // A jar with what shows in it.
  jar: (pen, colour) => [
    pen.rect(8, 14, 84, 86, 'clear', { round: 8 }),
    ...BUTTONS.map(([x, y], i) => pen.disc(x, y, i % 3 === 1 ? 11 : 9, 'thing', colour)),
    pen.rect(4, 0, 92, 16, 'dark', { round: 3 }),
  ],
  // Closed zips side by side, each with its teeth and its pull.
  zips: (pen, colour) =>
    pen.box.width < 20
      ? [pen.rect(0, 0, 100, 100, 'thing', { colour }), pen.line([50, 0, 50, 100], 'steel')]
      : [0, 34, 68].flatMap((x) => [
          pen.rect(x, 0, 32, 100, 'thing', { colour }),
          pen.line([x + 16, 4, x + 16, 100], 'tick'),
          pen.rect(x + 11, 5, 10, 9, 'flange', { round: 1 }),
        ]),
  bottle: (pen, colour) => [
    pen.outline([36, 20, 64, 20, 64, 27, 96, 40, 96, 100, 4, 100, 4, 40, 36, 27], 'thing', colour),
    pen.outline([40, 20, 46, 0, 54, 0, 60, 20], 'dark'),
    pen.rect(14, 56, 72, 30, 'hole', { round: 2 }),
  ],
  pens: (pen, colour) =>
    pen.box.height >= pen.box.width
      ? [
          pen.outline([20, 24, 50, 0, 80, 24, 80, 100, 20, 100], 'thing', colour),
          pen.outline([40, 9, 50, 0, 60, 9], 'dark'),
          pen.line([20, 24, 80, 24], 'shade'),
        ]
      : [
          pen.rect(0, 10, 100, 80, 'flange', { round: 3 }),
          ...[18, 42, 66].map((y) => pen.rect(5, y, 90, 16, 'thing', { colour, round: 2 })),
        ],
  // A tin with its lid and a label.
  tin: (pen, colour) => [
    pen.rect(2, 24, 96, 76, 'thing', { colour, round: 3 }),
    pen.rect(0, 0, 100, 28, 'blade', { round: 3 }),
    pen.rect(30, 46, 40, 34, 'hole', { round: 2 }),
  ],
  tape: (pen, colour) => [
    pen.disc(50, 50, 50, 'thing', colour),
    pen.disc(50, 50, 34, 'shade'),
    pen.disc(50, 50, 14, 'hole'),
    pen.rect(50, 86, 50, 12, 'ruler'),
  ],
  curve: (pen) => [
    pen.outline(
      [18, 100, 2, 86, 0, 62, 8, 36, 28, 14, 60, 0, 96, 2, 100, 16, 74, 20, 50, 34, 36, 56, 36, 80, 30, 96],
      'ruler',
    ),
    pen.disc(16, 80, 5, 'hole'),
  ],
  cutter: (pen, colour) => [
    pen.outline([34, 36, 66, 36, 74, 96, 58, 100, 42, 100, 26, 96], 'thing', colour),
    pen.disc(50, 25, 46, 'blade'),
    pen.disc(50, 25, 12, 'thing', colour),
    pen.disc(50, 93, 6, 'hole'),
  ],
  // A handle and its shaft; what hangs by its handle points down.
  handle: (pen, colour) => [
    pen.outline([46, 52, 54, 52, 52, 100, 48, 100], 'blade'),
    pen.rect(28, 0, 44, 56, 'thing', { colour, round: 8 }),
    pen.disc(50, 6, 8, 'hole'),
  ],
  ham: (pen, colour) => [
    pen.outline([4, 60, 10, 28, 30, 6, 58, 2, 84, 18, 98, 52, 92, 84, 72, 98, 32, 98, 10, 84], 'thing', colour),
    pen.line([8, 40, 40, 54, 96, 48], 'shade'),
    pen.line([44, 3, 40, 54, 50, 98], 'shade'),
  ],
  carton: (pen, colour) => [
    pen.rect(0, 0, 100, 100, 'thing', { colour, round: 3 }),
    pen.line([0, 26, 100, 26], 'shade'),
    pen.rect(36, 48, 28, 28, 'hole', { round: 1 }),
  ],
};

/** Layers of a pile that are told apart, mm. */
const LAYER_MM = 14;
const MOST_LAYERS = 6;

/** Cloth as it is kept: on a board, folded in a pile, standing folded, on a roll, on a hanger, or loose. */
function drawCloth(item: Item, form: StowForm, box: Box, colour: string): Shape[] {
  const pen = createPen(box);
  const { x, y, width, height } = box;
  const own = { colour, print: getDrawnPrint(item), photo: item.photos?.[0] };
  const cloth = (top: number, high: number, round: number): Shape => ({
    type: 'rect',
    x,
    y: y + top,
    width,
    height: high,
    ink: 'cloth',
    round,
    ...own,
  });
  if (form === 'stack') {
    const layers = Math.min(MOST_LAYERS, Math.max(1, Math.round(height / LAYER_MM)));
    const folds = Array.from({ length: layers - 1 }, (_, n) => (100 * (n + 1)) / layers);
    return [
      cloth(0, height, Math.min(8, height / 2)),
      // A fold is at one end, the open edges at the other.
      ...folds.map((at) => pen.line([3, at, 100, at], 'shade')),
    ];
  }
  if (form === 'roll') {
    if (Math.max(width, height) < 1.3 * Math.min(width, height))
      return [
        pen.disc(50, 50, 50, 'thing', colour),
        pen.disc(50, 50, 32, 'shade'),
        pen.disc(50, 50, 14, 'hole'),
        pen.disc(50, 50, 7, 'dark'),
      ];
    if (height < width) return [cloth(0, height, height / 2), pen.rect(0, 34, 3, 32, 'hole', { round: 2 })];
    // Standing, its end turned a little to who looks at it.
    const end = Math.min(width * 0.36, height * 0.2);
    const at = (100 * end) / 2 / height;
    return [
      cloth(end / 2, height - end / 2, 2),
      pen.outline(ellipse(50, at, 50, at), 'thing', colour),
      pen.outline(ellipse(50, at, 16, at * 0.4), 'hole'),
    ];
  }
  if (form === 'hanger') {
    const hook = Math.min(70, height * 0.12);
    const at = (100 * hook) / height;
    return [
      cloth(hook, height - hook, 6),
      pen.line([50, at, 50, at * 0.45, 62, at * 0.25, 54, 0, 40, at * 0.15], 'steel'),
    ];
  }
  if (form === 'board') {
    const board = Math.min(5, height * 0.04);
    return width < 14
      ? [cloth(0, height, 1)]
      : [pen.rect(42, 0, 16, 100, 'flange'), cloth(board, height - 2 * board, Math.min(6, width / 4))];
  }
  return [cloth(0, height, form === 'bag' || form === 'loose' ? Math.min(width, height) * 0.2 : 1)];
}

/** An ellipse as an outline, in hundredths. */
const ellipse = (cx: number, cy: number, rx: number, ry: number): number[] =>
  Array.from({ length: 20 }, (_, i) => (i * Math.PI) / 10).flatMap((angle) => [
    cx + rx * Math.cos(angle),
    cy + ry * Math.sin(angle),
  ]);

const FLAP_FROM_MM = 60;

/** A pattern: its edge from the side or, where it is wide enough, the envelope with its flap and picture. */
function drawPattern(pen: Pen, colour: string): Shape[] {
  const { width, height } = pen.box;
  const paper = pen.rect(0, 0, 100, 100, 'paper', { round: 1 });
  if (width < FLAP_FROM_MM || height < FLAP_FROM_MM)
    return [
      paper,
      height >= width ? pen.rect(0, 0, 100, 14, 'thing', { colour }) : pen.rect(0, 0, 10, 100, 'thing', { colour }),
    ];
  return [
    paper,
    pen.line([0, 0, 50, 18, 100, 0], 'shade'),
    pen.rect(14, 34, 34, 54, 'thing', { colour }),
    pen.line([58, 44, 88, 44], 'shade'),
    pen.line([58, 56, 88, 56], 'shade'),
  ];
}

/** How one piece of a thing looks from the front, in the form in which it is kept. */
export function drawPiece(item: Item, form: StowForm, box: Box): Shape[] {
  const colour = getColour(item);
  const pen = createPen(box);
  if (item.fabric) return drawCloth(item, form, box, colour);
  const photo = item.photos?.[0];
  const shown: Shape[] = photo ? [{ type: 'rect', ...box, ink: 'thing', colour, photo, round: 3 }] : [];
  if (item.pattern) return photo ? shown : drawPattern(pen, colour);
  if (item.thread) {
    const { diameterMm, heightMm } = item.thread;
    if (form === 'spool' || Math.abs(box.height - heightMm) < 1)
      return (diameterMm > 45 ? drawCone : drawSpool)(pen, colour);
    return drawReel(pen, colour);
  }
  if (photo) return shown;
  if (item.box?.isSoft || form === 'bag')
    return [
      pen.outline(
        [10, 14, 40, 10, 34, 0, 66, 0, 60, 10, 90, 14, 100, 40, 96, 92, 84, 100, 16, 100, 4, 92, 0, 40],
        'thing',
        colour,
      ),
      pen.line([36, 11, 64, 11], 'shade'),
    ];
  return DRAWN[getLook(item)](pen, colour);
}
