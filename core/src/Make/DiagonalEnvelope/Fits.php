<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\DiagonalEnvelope;

use Gimbo\Core\Design\Extents;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\MakeUp;
use Gimbo\Core\Fit\Term;
use Gimbo\Core\Fit\TermKind;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\SizingRequest;

/** What must hold for a diagonal envelope. The needs of seams and flaps are common practice, no source. */
final readonly class Fits
{
    public const CARD_WIDTH = 'card-fits-width';

    public const CARD_HEIGHT = 'card-fits-height';

    public const SEAM = 'seam-takes-glue';

    public const FLAPS = 'flaps-overlap';

    public const TIPS = 'tips-stay-inside';

    public const SHEET = 'sheet-from-paper';

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

    /**
     * @param MakeUp $width what the face must be from fold to fold
     * @param MakeUp $height the same
     * @return list<Fit>
     */
    public function all(MakeUp $width, MakeUp $height, Extents $inside): array
    {
        $square = $this->layout->square;
        [$widthSlip, $heightSlip] = $this->isUpright
            ? [$this->layout->highSlip, $this->layout->wideSlip]
            : [$this->layout->wideSlip, $this->layout->highSlip];
        $tipRoom = min($square->height - $this->layout->longEnd(), $square->width - $this->layout->sideEnd());

        $fits = [
            $this->room(self::CARD_WIDTH, $width, $this->request->clearance->width, $inside->width, $widthSlip),
            $this->room(self::CARD_HEIGHT, $height, $this->request->clearance->height, $inside->height, $heightSlip),
            self::plain(self::SEAM, self::seamNeed(), Length::nearestTo($square->inset() * 2), self::seamBare(), Fit::handMiss()),
            self::plain(self::FLAPS, self::flapNeed(), Length::nearestTo(2 * $this->layout->longEnd() - $square->height), Length::zero(), Fit::handMiss()->times(2)),
            self::plain(self::TIPS, Length::zero(), Length::nearestTo($tipRoom), Length::zero(), Fit::handMiss()),
        ];
        if (($sheet = $this->request->paper->sheet) !== null) {
            $fits[] = new Fit(self::SHEET, $this->layout->side, Length::min($sheet->width, $sheet->height), $this->layout->side, Length::zero(), $this->layout->sideMadeOf);
        }

        return $fits;
    }

    /** Room for the card: fold to fold less the paper; clearance may be eaten by a slip, the card itself not. */
    private function room(string $id, MakeUp $face, Length $clearance, Length $have, Length $slip): Fit
    {
        $need = MakeUp::of(...array_filter($face->terms, fn (Term $term) => $term->kind !== TermKind::Paper));

        return new Fit($id, $need->figure(), $have, $need->figure()->minus($clearance)->minus($this->request->clearance->depth), $slip, $need);
    }

    private static function plain(string $id, Length $need, Length $have, Length $bare, Length $slip): Fit
    {
        return new Fit($id, $need, $have, $bare, $slip, MakeUp::of());
    }
}
