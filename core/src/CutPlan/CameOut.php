<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;

/** What lies there once a sheet is cut, or once a cut of it was set wrong: pieces, what is worth keeping, what stays on a roll. */
final class CameOut
{
    /** @var array<string, int> how many of each piece */
    public array $pieces = [];

    /** @var list<array{Length, Length}> what is worth keeping */
    public array $offcuts = [];

    /** What stays on the roll; null where it is none, or nothing does. */
    public ?Length $rest = null;

    private bool $isFound = false;

    /** @param ?int $n number of the cut that was set wrong, at $at; null where all were made as planned */
    private function __construct(private readonly Job $job, private readonly ?int $n = null, private readonly ?Length $at = null)
    {
    }

    /** All its cuts were made. */
    public static function whole(SheetCut $sheet, Job $job): self
    {
        $came = new self($job);
        $came->walk($sheet->tree, $sheet->stock->isRoll);

        return $came;
    }

    /**
     * @param int $n number of the cut that was set wrong
     * @param Length $at the reading at which it was cut, from the edge from which it was to be
     *
     * @throws InvalidDocument where there is no such cut, or it lies outside its part
     */
    public static function missed(SheetCut $sheet, int $n, Length $at, Job $job): self
    {
        $came = new self($job, $n, $at);
        $came->walk($sheet->tree, $sheet->stock->isRoll);
        $came->isFound || throw InvalidDocument::at('/n', Reason::of('plan.no-cut'));

        return $came;
    }

    /** @param bool $isRoll whether it is what the roll goes on with: the whole of it, then what lies above each cut */
    private function walk(Part $part, bool $isRoll): void
    {
        if ($part->first === null || $part->second === null || ($this->n !== null && $part->number > $this->n)) {
            $part->piece !== null && $part->first === null ? $this->pieces[$part->piece] = 1 + ($this->pieces[$part->piece] ?? 0) : $this->left($part->width, $part->height, $isRoll);

            return;
        }
        if ($this->at === null || $part->number !== $this->n) {
            $this->walk($part->first, false);
            $this->walk($part->second, $isRoll && ! $part->isUpright);

            return;
        }
        $this->isFound = true;
        $side = $part->isUpright ? $part->width : $part->height;
        $this->at->isLessThan($side) || throw InvalidDocument::at('/at', Reason::of('plan.outside', ['most' => $side]));
        $rest = Reading::fromOther($part, $this->at, $this->job->trimmer);
        [$at, $rest] = Reading::of($part, $this->job->trimmer)->isFromFar ? [$rest, $this->at] : [$this->at, $rest];
        foreach ([[$at, false], [$rest, $isRoll && ! $part->isUpright]] as [$length, $isOn]) {
            $part->isUpright ? $this->left($length, $part->height, $isOn) : $this->left($part->width, $length, $isOn);
        }
    }

    private function left(Length $width, Length $height, bool $isRoll): void
    {
        if ($isRoll) {
            $this->rest = $height->isPositive() ? $height : null;
        } elseif (Hand::isWorthKeeping($width, $height, $this->job->keep)) {
            $this->offcuts[] = [$width, $height];
        }
    }
}
