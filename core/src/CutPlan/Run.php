<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;

/** Pieces over which a print runs on: they are cut side by side out of one place, so that what ends on the one goes on on the next. */
final readonly class Run
{
    public const MOST = 8;

    /**
     * @param non-empty-list<Wanted> $pieces in the order in which they lie, from the left or from below; the same one may come again
     * @param 'width'|'height' $along side by side along their widths, or one above the other; across they lie middle on middle
     */
    public function __construct(public string $id, public array $pieces, public string $along)
    {
    }

    /** How often it can be laid with so many of each piece. */
    public function times(): int
    {
        $often = array_count_values(array_map(fn (Wanted $piece) => $piece->id, $this->pieces));

        return min(array_map(fn (Wanted $piece): int => intdiv($piece->count, $often[$piece->id]), $this->pieces));
    }

    /** All of it as one piece, the blade's loss between them included. */
    public function whole(Length $kerf): Wanted
    {
        $isAcross = $this->along === 'height';
        $along = $kerf->times(count($this->pieces) - 1);
        $across = Length::zero();
        foreach ($this->pieces as $piece) {
            $along = $along->plus($isAcross ? $piece->height : $piece->width);
            $across = Length::max($across, $isAcross ? $piece->width : $piece->height);
        }
        $mayTurn = array_filter($this->pieces, fn (Wanted $piece) => ! $piece->mayTurn) === [];
        $stock = array_values(array_filter(array_map(fn (Wanted $piece) => $piece->stock, $this->pieces)));
        $only = $stock === [] ? null : array_values(array_intersect(...$stock));

        return new Wanted($this->id, $isAcross ? $across : $along, $isAcross ? $along : $across, $this->times(), $this->pieces[0]->paper, $mayTurn, $only);
    }

    /** Paper that each one takes and no piece becomes, what the blade takes away included, mm². */
    public function extra(Length $kerf): float
    {
        $whole = $this->whole($kerf);
        $area = fn (Wanted $piece): float => $piece->width->toMillimetres() * $piece->height->toMillimetres();

        return $area($whole) - array_sum(array_map($area, $this->pieces));
    }

    /** Whether the trimmer parts it, wherever it lies. */
    public function isParted(Trimmer $trimmer): bool
    {
        $whole = $this->whole($trimmer->kerf);
        $isWithin = fn (Length $side, ?Length $most): bool => $most === null || ! $side->isMoreThan($most);

        return $isWithin($this->along === 'width' ? $whole->height : $whole->width, $trimmer->longest) && $isWithin(Length::max($whole->width, $whole->height), $trimmer->measures);
    }

    /** Parts what was laid as one into its pieces, what lies over on either side of a smaller one cut off on the trimmer's step. */
    public function part(Laid $laid, int $kerf, int $step): void
    {
        // Turned a quarter anticlockwise: what was on the left lies below, what was below lies on the right.
        $isTurned = $laid->width !== $this->whole(Length::ofTicks($kerf))->width->ticks + $kerf;
        $isUpright = ($this->along === 'width') !== $isTurned;
        $pieces = $this->along === 'height' && $isTurned ? array_reverse($this->pieces) : $this->pieces;
        $rest = $laid;
        $size = $laid->size;
        $laid->size = null;
        foreach ($pieces as $n => $piece) {
            [$w, $h] = $isTurned ? [$piece->height->ticks + $kerf, $piece->width->ticks + $kerf] : [$piece->width->ticks + $kerf, $piece->height->ticks + $kerf];
            $here = $rest;
            if ($n < count($pieces) - 1) {
                $rest->cut($isUpright, $isUpright ? $w : $h);
                [$here, $rest] = [$rest->first ?? $rest, $rest->second ?? $rest];
            }
            $across = $isUpright ? $h : $w;
            $over = ($isUpright ? $here->height : $here->width) - $across;
            $before = intdiv(max(0, intdiv($over, 2) - $kerf), $step) * $step;
            if ($before > 0) {
                $here->cut(! $isUpright, $before + $kerf);
                $here = $here->second ?? $here;
            }
            if ($across < ($isUpright ? $here->height : $here->width)) {
                $here->cut(! $isUpright, $across);
                $here = $here->first ?? $here;
            }
            [$here->size, $here->id] = [$size, $piece->id];
        }
    }
}
