<?php

declare(strict_types=1);

namespace Gimbo\Core\Sheet;

use Gimbo\Core\Measure\Length;

/** A square sheet as its settings really make it, the folds on it, and the tips that come off. */
final readonly class TurnedLayout
{
    /** The setting both sides are cut to. */
    public const SHEET = 'sheet';

    /** @var array<string, Length> what comes off each flap's tip, or is turned in */
    public array $tips;

    /** @var list<Measure> what trims the tips */
    private array $trims;

    /**
     * @param list<Measure> $marks the punch marks or scores
     * @param Length $wideSlip how much narrower the face gets when every setting is missed by a hand's miss
     * @param Length $highSlip how much lower
     * @param array{array<string, Length>, list<Measure>} $trims see Tips
     * @param bool $isTopTurnedIn whether the top flap's tip is turned in, and not cut off
     */
    public function __construct(
        public Setting $cut,
        public array $marks,
        public TurnedSquare $square,
        public Length $wideSlip,
        public Length $highSlip,
        public Lie $lie,
        array $trims,
        public bool $isTopTurnedIn = false,
    ) {
        [$this->tips, $this->trims] = $trims;
    }

    /** @return list<Measure> in the order they are set: the cuts, the marks or scores, what trims the tips */
    public function measures(): array
    {
        $cut = fn (Axis $axis, string $from): Measure => Measure::of($this->cut, MeasureKind::Cut, $axis, $from);

        return [$cut(Axis::Width, 'left'), $cut(Axis::Height, 'top'), ...$this->marks, ...$this->trims];
    }

    /** How far a flap reaches from its fold once its tip is off. */
    public function end(string $flap): float
    {
        return $this->square->reach($flap) - $this->tips[$flap]->toMillimetres();
    }

    /** How much the side flaps overlap; what is left between them where it is negative. */
    public function sidesOverlap(): float
    {
        return $this->end(Flap::LEFT) + $this->end(Flap::RIGHT) - $this->square->width;
    }

    /** How far the closing flap lies on the bottom one. */
    public function endsOverlap(): float
    {
        return $this->end(Flap::TOP) + $this->end(Flap::BOTTOM) - $this->square->height;
    }
}
