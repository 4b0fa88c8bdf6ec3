<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;

/** In which order the faces of a piece are folded, taken from its steps. */
final class FoldOrder
{
    /**
     * Faces that fold in the steps come in their order, left and right together; what closes it comes last. A tab goes
     * with the wall it hangs on, before the wall it is glued to comes up. What no step names follows, the nearest to the
     * standing face last, so that its own parts are folded while it still lies flat.
     *
     * @param int $root the face that stays
     * @param list<WorkStep> $steps
     * @return list<list<int>> the faces that turn in each stage
     */
    public static function of(Piece $piece, int $root, array $steps): array
    {
        // Parts of one face, beside an opening, turn with it.
        $tree = array_filter(Folding::tree($piece->pattern(), $root), fn (array $hinge) => $hinge['edge']->assignment !== Assignment::Join);
        if ($tree === []) {
            return [];
        }
        if ($piece->bends() !== []) {
            return [array_keys($tree)];
        }
        $closing = self::named($piece, $steps, Deed::Close);
        $folded = array_values(array_diff(self::named($piece, $steps, Deed::Fold), $closing, [$root]));
        $glued = array_diff(self::named($piece, $steps, Deed::Glue), $folded, $closing, [$root]);
        $tabs = self::tabs($piece, $tree, array_keys($tree), $folded, $closing);
        $unnamed = array_reverse(array_values(array_diff(array_keys($tree), $folded, $glued, $closing, $tabs)));
        $order = array_merge(
            self::paired($piece, array_values(array_diff($folded, $tabs))),
            self::paired($piece, array_values(array_diff($glued, $tabs))),
            self::paired($piece, $unnamed),
            self::paired($piece, array_values(array_diff($closing, [$root]))),
        );

        return self::withTabs($order, $tabs, $tree);
    }

    /**
     * @param list<WorkStep> $steps
     * @return list<int>
     */
    private static function named(Piece $piece, array $steps, Deed $deed): array
    {
        $index = [];
        foreach ($piece->pattern()->faces as $f => $face) {
            $index[(string) $face->name] = $f;
        }
        $faces = [];
        foreach ($steps as $step) {
            if ($step->do === $deed && $step->piece === $piece->id) {
                array_push($faces, ...array_values(array_intersect_key($index, array_flip($step->faces))));
                usort($faces, fn (int $a, int $b) => array_search($piece->pattern()->faces[$a]->name, $step->faces, true) <=> array_search($piece->pattern()->faces[$b]->name, $step->faces, true));
            }
        }

        return array_values(array_unique($faces));
    }

    /**
     * @param array<int, array{parent: int}> $tree
     * @param list<int> $faces
     * @param list<int> $folded
     * @param list<int> $closing
     * @return list<int> those glued to another face than the one they hang on, no step folding them by themselves
     */
    private static function tabs(Piece $piece, array $tree, array $faces, array $folded, array $closing): array
    {
        return array_values(array_filter($faces, function (int $face) use ($piece, $tree, $folded, $closing): bool {
            $onto = $piece->pattern()->faces[$face]->gluedTo;

            return $onto !== null && $onto !== $tree[$face]['parent'] && isset($tree[$tree[$face]['parent']])
                && ! in_array($face, $folded, true) && ! in_array($face, $closing, true);
        }));
    }

    /**
     * @param list<int> $faces
     * @return list<list<int>> a left one and the right one after it together
     */
    private static function paired(Piece $piece, array $faces): array
    {
        $stages = [];
        foreach ($faces as $face) {
            $last = array_key_last($stages);
            if ($last !== null && $piece->pattern()->faces[$face]->twin === $stages[$last][0]) {
                $stages[$last][] = $face;
            } else {
                $stages[] = [$face];
            }
        }

        return $stages;
    }

    /**
     * @param list<list<int>> $order
     * @param list<int> $tabs
     * @param array<int, array{parent: int}> $tree
     * @return list<list<int>>
     */
    private static function withTabs(array $order, array $tabs, array $tree): array
    {
        foreach ($tabs as $tab) {
            foreach ($order as $stage => $faces) {
                if (in_array($tree[$tab]['parent'], $faces, true)) {
                    $order[$stage][] = $tab;
                }
            }
        }

        return $order;
    }
}
