<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Extents;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\ScoredSquare;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Spec\SizingRequest;

/** What must hold for whatever is folded from a square on its corner. The needs of seams and flaps are common practice, no source. */
final readonly class TurnedFits
{
    public const SEAM = 'seam-takes-glue';

    public const FLAPS = 'flaps-overlap';

    public const TIPS = 'tips-stay-inside';

    public function __construct(private SizingRequest $request, private TurnedLayout $layout, private bool $isUpright)
    {
    }

    /** The strip in which neighbouring flaps overlap must take a line of glue or tape. */
    public static function seamNeed(): Length
    {
        return ScoredSquare::leastSeam()->times(2);
    }

    private static function seamBare(): Length
    {
        return Length::inches(1, 4);
    }

    /** The closing flap must lie on the bottom flap far enough to be stuck down. */
    private static function flapNeed(): Length
    {
        return Length::inches(1, 4);
    }

    /** @return array{Length, Length} what the face loses in the item's own width and height when every setting is missed */
    public function slips(): array
    {
        return $this->isUpright ? [$this->layout->highSlip, $this->layout->wideSlip] : [$this->layout->wideSlip, $this->layout->highSlip];
    }

    /** @return list<Fit> room for the card in something flat */
    public function room(Extents $inside): array
    {
        [$width, $height] = $this->slips();

        return [FlatRoom::fit($this->request, Dimension::Width, $inside->width, $width), FlatRoom::fit($this->request, Dimension::Height, $inside->height, $height)];
    }

    /** @return list<Fit> the seam, and that no tip sticks out */
    public function seams(): array
    {
        $square = $this->layout->square;
        $tipRoom = min(
            $square->height - max($this->layout->end(Flap::TOP), $this->layout->end(Flap::BOTTOM)),
            $square->width - max($this->layout->end(Flap::LEFT), $this->layout->end(Flap::RIGHT)),
        );

        return [
            Fit::plain(self::SEAM, self::seamNeed(), Length::nearestTo($square->inset() * 2), self::seamBare(), Fit::handMiss()),
            Fit::plain(self::TIPS, Length::zero(), Length::nearestTo($tipRoom), Length::zero(), Fit::handMiss()),
        ];
    }

    /** That the closing flap reaches the bottom flap. */
    public function closing(): Fit
    {
        return Fit::plain(self::FLAPS, self::flapNeed(), Length::nearestTo($this->layout->endsOverlap()), Length::zero(), Fit::handMiss()->times(2));
    }
}
