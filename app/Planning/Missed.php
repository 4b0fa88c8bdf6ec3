<?php

declare(strict_types=1);

namespace App\Planning;

use Gimbo\Core\CutPlan\Hand;
use Gimbo\Core\CutPlan\Part;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Reason;
use Gimbo\Core\Measure\Length;

/** A sheet of which one cut was set wrong: the pieces that were there by then, and everything else as it lies there. */
final class Missed
{
    /** @var array<string, int> how many of each */
    public array $pieces = [];

    /** @var list<array{Length, Length}> what is worth keeping */
    public array $offcuts = [];

    private bool $isFound = false;

    private function __construct(private readonly int $n, private readonly Length $at, private readonly Asked $asked)
    {
    }

    /**
     * @param int $n number of the cut
     * @param Length $at where it was cut
     *
     * @throws InvalidDocument where there is no such cut, or it lies outside its part
     */
    public static function of(Part $tree, int $n, Length $at, Asked $asked): self
    {
        $missed = new self($n, $at, $asked);
        $missed->walk($tree);
        $missed->isFound || throw InvalidDocument::at('/n', Reason::of('plan.no-cut'));

        return $missed;
    }

    private function walk(Part $part): void
    {
        if ($part->first === null || $part->second === null || $part->number > $this->n) {
            $part->piece !== null && $part->first === null ? $this->pieces[$part->piece] = 1 + ($this->pieces[$part->piece] ?? 0) : $this->left($part->width, $part->height);

            return;
        }
        if ($part->number < $this->n) {
            $this->walk($part->first);
            $this->walk($part->second);

            return;
        }
        $this->isFound = true;
        $side = $part->isUpright ? $part->width : $part->height;
        $this->at->isLessThan($side) || throw InvalidDocument::at('/at', Reason::of('plan.outside', ['most' => $side]));
        $rest = Length::max(Length::zero(), $side->minus($this->at)->minus($this->asked->kerf));
        foreach ([$this->at, $rest] as $length) {
            $part->isUpright ? $this->left($length, $part->height) : $this->left($part->width, $length);
        }
    }

    private function left(Length $width, Length $height): void
    {
        Hand::isWorthKeeping($width, $height, $this->asked->keep) && $this->offcuts[] = [$width, $height];
    }
}
