<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiagonalEnvelope;

use Gimbo\Core\Design\Extents;
use Gimbo\Core\Fit\Dimension;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Make\Shared\FlatRoom;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\SizingRequest;

/** What must hold for a diagonal envelope. The needs of seams and flaps are common practice, no source. */
final readonly class Fits
{
    public const SEAM = 'seam-takes-glue';

    public const FLAPS = 'flaps-overlap';

    public const TIPS = 'tips-stay-inside';

    public function __construct(private SizingRequest $request, private Layout $layout, private bool $isUpright)
    {
    }

    /** The strip in which neighbouring flaps overlap must take a line of glue or tape. */
    public static function seamNeed(): Length
    {
        return Length::inches(3, 8);
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

    /** @return list<Fit> */
    public function all(Extents $inside): array
    {
        $square = $this->layout->square;
        [$widthSlip, $heightSlip] = $this->isUpright
            ? [$this->layout->highSlip, $this->layout->wideSlip]
            : [$this->layout->wideSlip, $this->layout->highSlip];
        $tipRoom = min($square->height - $this->layout->longEnd(), $square->width - $this->layout->sideEnd());

        return [
            FlatRoom::fit($this->request, Dimension::Width, $inside->width, $widthSlip),
            FlatRoom::fit($this->request, Dimension::Height, $inside->height, $heightSlip),
            Fit::plain(self::SEAM, self::seamNeed(), Length::nearestTo($square->inset() * 2), self::seamBare(), Fit::handMiss()),
            Fit::plain(self::FLAPS, self::flapNeed(), Length::nearestTo(2 * $this->layout->longEnd() - $square->height), Length::zero(), Fit::handMiss()->times(2)),
            Fit::plain(self::TIPS, Length::zero(), Length::nearestTo($tipRoom), Length::zero(), Fit::handMiss()),
        ];
    }
}
