<?php

declare(strict_types=1);

namespace Gimbo\Core\Tool;

use Gimbo\Core\Measure\Length;

/** What a trial at the table says about a tool or a paper. Formulas: docs/formulas.md, "Trials". */
final readonly class Calibration
{
    /**
     * @param Length $spread how far two ways of getting it are apart
     */
    private function __construct(public Length $value, public Length $spread)
    {
    }

    /**
     * The notch of a punch board, from a square that was punched and scored at one mark on all sides and folded.
     *
     * The face's sides are √2 · (p − d) and √2 · (S − p − d): each gives d, and their mean is the better figure.
     *
     * @param Length $side of the square
     * @param Length $mark where each side was punched
     * @param Length $long the longer side of the face, measured between the folds
     * @param Length $short the shorter one
     */
    public static function notch(Length $side, Length $mark, Length $long, Length $short): self
    {
        $other = $side->minus($mark);
        $from = fn (Length $mark, Length $face): Length => $mark->minus(Length::nearestTo($face->toMillimetres() / M_SQRT2));
        $one = $from(Length::max($mark, $other), $long);
        $two = $from(Length::min($mark, $other), $short);

        return new self($one->plus($two)->timesNearest(1, 2), Length::max($one, $two)->minus(Length::min($one, $two)));
    }

    /** The caliper of one sheet, from the height of a stack of them. */
    public static function caliper(Length $stack, int $sheets): self
    {
        return new self($stack->timesNearest(1, $sheets), Length::zero());
    }

    /** Whether both ways agree as closely as a hand measures: 1 mm, common practice, no source. */
    public function isSure(): bool
    {
        return ! $this->spread->isMoreThan(Length::mm(1));
    }
}
