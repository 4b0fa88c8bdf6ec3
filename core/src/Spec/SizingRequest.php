<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\System;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Tool\Tools;

/** Everything sizing needs to know, read and complete. */
final readonly class SizingRequest
{
    /**
     * @param Paper $paper what its body is made of, and its room is reckoned with
     * @param array<string, mixed> $spec the document it was read from
     * @param array<string, Paper> $papers all of them, by id; the main one has none: what every piece is made of for which no other is named
     * @param array<string, string> $cutFrom the paper of a piece of the make, by the piece
     * @param list<Addition> $with what goes with it, in the order it was added
     * @param int $wanted how many of it are to be made: figures are of one
     * @param array<string, Length> $lengths every length the spec says, or what is usual for it, by pointer
     * @param array<string, int> $counts every count in the same way
     */
    public function __construct(
        public string $make,
        public Item $item,
        public Clearance $clearance,
        public Paper $paper,
        public System $system,
        public Tools $tools,
        public Options $options,
        public array $spec,
        public array $papers = [],
        public array $cutFrom = [],
        public array $with = [],
        public int $wanted = 1,
        public array $lengths = [],
        public array $counts = [],
    ) {
    }

    /** The paper with that id; the main one for none. */
    public function paperNamed(string $id): Paper
    {
        return $this->papers[$id] ?? $this->paper;
    }

    /** What a piece of the make is cut from. */
    public function paperOf(string $piece): Paper
    {
        // Pieces that are numbered, as dividers are, have one paper.
        return $this->paperNamed($this->cutFrom[$piece] ?? $this->cutFrom[(string) preg_replace('/-\d+$/', '', $piece)] ?? Paper::MAIN);
    }

    public function caliperOf(string $piece): Length
    {
        return $this->paperOf($piece)->caliper;
    }

    /**
     * How thick what lies on a panel is, all of it together: mats, mats on those, strips.
     *
     * @param string $panel as `lid/base`
     */
    public function layersOn(string $panel): Length
    {
        $on = [$panel];
        $thick = Length::zero();
        foreach ($this->with as $addition) {
            if ($addition->role->isLayer() && array_filter($on, fn (string $one) => $addition->liesOn($one)) !== []) {
                $on[] = $addition->id;
                $thick = $thick->plus($this->paperNamed($addition->paper())->caliper);
            }
        }

        return $thick;
    }
}
