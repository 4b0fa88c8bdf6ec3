<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Spec\Item;

/** What became of a design of which one figure was set wrong, and what would save it. */
final readonly class Missed
{
    /**
     * @param Measure $wrong the reading that was set wrong, as it should be
     * @param Length $at where it really is, read as the figure is read
     * @param bool $isFromOtherEdge whether what was typed is a reading from the other edge
     * @param list<Fit> $changed the fits it changes, as they are now
     * @param list<Fit> $gone those of them that held before and do not now
     * @param ?Redo $redo how the same figure can still be set right on the same sheet
     * @param list<Rescue> $rescues
     * @param ?Item $smaller what it would still hold, where that is possible
     * @param list<Follow> $follow the pieces not cut yet that must be others now
     * @param ?int $takes how many it still takes, where it takes fewer
     */
    public function __construct(
        public Measure $wrong,
        public Length $at,
        public bool $isFromOtherEdge,
        public Verdict $verdict,
        public array $changed,
        public array $gone,
        public ?Redo $redo,
        public array $rescues,
        public ?Item $smaller,
        public array $follow,
        public ?int $takes,
    ) {
    }

    /** Nothing is left of a panel; whether the same figure can still be set right is all there is to say. */
    public static function nothingLeft(Measure $wrong, Length $at, ?Redo $redo): self
    {
        return new self($wrong, $at, false, Verdict::NothingLeft, [], [], $redo, [], null, [], null);
    }

    /** @param list<Fit> $gone */
    public static function verdict(array $gone): Verdict
    {
        $lost = array_filter($gone, fn (Fit $fit) => $fit->have->isLessThan($fit->bare) || $fit->band !== null);

        return match (true) {
            $gone === [] => Verdict::Good,
            $lost === [] => Verdict::Tighter,
            default => Verdict::Bad,
        };
    }

    /**
     * The largest thing that would go in with all its clearance: as much smaller as the room is short of. Null where what is
     * gone is not room for the contents, or nothing would be left of them.
     *
     * @param list<Fit> $gone
     */
    public static function smaller(array $gone, Item $item): ?Item
    {
        $short = [Dimension::Width->value => Length::zero(), Dimension::Height->value => Length::zero(), Dimension::Depth->value => Length::zero()];
        foreach ($gone as $fit) {
            $dimension = self::dimension($fit);
            if ($dimension === null) {
                return null;
            }
            $short[$dimension->value] = Length::max($short[$dimension->value], $fit->need->minus($fit->have));
        }
        $thickness = Length::ofTicks(intdiv($item->thickness->ticks * ($item->stack()->ticks - $short['depth']->ticks), $item->stack()->ticks));
        $left = new Item($item->width->minus($short['width']), $item->height->minus($short['height']), $thickness, $item->count);

        return $gone !== [] && $left->width->isPositive() && $left->height->isPositive() && $left->thickness->isPositive() ? $left : null;
    }

    /** The direction in which a fit is room for the contents. */
    private static function dimension(Fit $fit): ?Dimension
    {
        foreach ($fit->madeOf->terms as $term) {
            if ($term->kind === TermKind::Contents || ($term->kind === TermKind::Thickness && $term->dimension === Dimension::Depth)) {
                return $term->dimension;
            }
        }

        return null;
    }
}
