<?php

declare(strict_types=1);

/* Small faults for the screens, as core.php has them for the core: the file under resources/js/features/table, and the tests that must find each. */

return [
    'a fold inside out' => ['fold/folded.ts', 'about(vertex(bend.to), vertex(bend.from), degreesAt(bend, moment))', 'about(vertex(bend.from), vertex(bend.to), degreesAt(bend, moment))', 'fold/folded.test.ts'],
    'layers that lie in one plane' => ['fold/folded.ts', 'shares[face] ?? 1)', '0)', 'fold/folded.test.ts'],
    'a lift towards the outside' => ['fold/folded.ts', 'shares[face] ?? 1)', '-(shares[face] ?? 1))', 'fold/folded.test.ts'],
    'a lid mirrored' => ['fold/folded.ts', 'return [middle[0] + x + shift[0]', 'return [middle[0] - x + shift[0]', 'fold/folded.test.ts'],
    'a lid that is not turned over' => ['fold/assembly.ts', 'const turn = (part.place?.turn ?? 0) * share', 'const turn = 0 * share', 'fold/folded.test.ts'],
    'contents under the face' => ['fold/folded.ts', 'place(contents.face, point, Math.max(contents.depth, 2 * OFF_PAPER_MM))', 'place(contents.face, point, -Math.max(contents.depth, 2 * OFF_PAPER_MM))', 'fold/folded.test.ts'],
    'a gauge with the slip added' => ['Fits.tsx', 'have - check.slip', 'have + check.slip', 'Fits.test.tsx'],
    'a gauge whose tick is where there is something, not where it was asked' => ['Fits.tsx', 'style={{ left: share(asked) }}', 'style={{ left: share(have) }}', 'Fits.test.tsx'],
    'versions that show no difference' => ['compared.ts', 'differs: new Set(texts).size > 1', 'differs: new Set(texts).size > 2', 'compared.test.ts'],
    'the wrong line lit' => ['drawing/PieceDrawing.tsx', 'piece.measures[measure]?.edges ?? []', 'piece.measures[measure + 1]?.edges ?? []', 'drawing/PieceDrawing.test.tsx'],
    'a line that says another measure' => ['drawing/PieceDrawing.tsx', 'onClick={() => onLight([measure])}', 'onClick={() => onLight([measure + 1])}', 'drawing/PieceDrawing.test.tsx'],
    'a remedy that sends nothing' => ['FiguresAside.tsx', 'alternatives={alternatives}
        onRemedy={(changes) => book.set(changes)}', 'alternatives={alternatives}
        onRemedy={() => book.set([])}', 'FiguresAside.test.tsx'],
    'a remedy that sends another fit\'s changes' => ['Fits.tsx', 'onClick={() => onRemedy(remedy.edits)}', 'onClick={() => onRemedy([])}', 'Fits.test.tsx'],
    'a caliper that is not taken over' => ['../../spec/paperChanges.ts', "    { at: '/paper/caliper', to: paper.caliper },\n", '', 'spec/paperChanges.test.ts'],
    'a hover that redraws every row' => ['lit.ts', '  useLit((lit) => lit.piece === piece && measures.some((measure) => lit.measures.includes(measure)))', "  {\n    const lit = useLit()\n    return lit.piece === piece && measures.some((measure) => lit.measures.includes(measure))\n  }", 'FiguresAside.test.tsx'],
];
