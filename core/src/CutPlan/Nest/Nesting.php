<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan\Nest;

use Gimbo\Core\CutPlan\Trimmer;
use Gimbo\Core\CutPlan\Wanted;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Paper\Rectangle;

/**
 * Pieces of a plan that are less than their rectangles: two laid head to tail, and small ones made of the corners that come off large ones.
 *
 * What is asked for is done as far as there are enough; the rest is cut as ever.
 */
final class Nesting
{
    private const PAIR = ' pair';

    /** @var array<string, HeadToTail> pieces of which two may lie head to tail, by id */
    public array $pairs = [];

    /** @var array<string, list<array{from: string, count: int}>> of which pieces' corners how many of a piece come, by its id */
    public array $corners = [];

    /** @var list<Wanted> what is still to be cut, pairs as one */
    public array $toCut = [];

    /**
     * @param list<Wanted> $wanted everything, with its paper
     * @param array<string, int> $left how many of each are not there yet, by id
     * @param array<string, array{list<Point>, Rectangle}> $shapes the corners of each piece on its sheet, mm, and that sheet, by id
     * @param list<string> $nested ids of pieces that are to lie head to tail
     * @param list<string> $cornered ids of pieces that are to be made of corners
     */
    public function __construct(array $wanted, array $left, private readonly array $shapes, array $nested, array $cornered, Trimmer $trimmer)
    {
        $left = $this->corners($wanted, $left, $nested, $cornered);
        foreach ($wanted as $piece) {
            $count = $left[$piece->id];
            $shape = $this->shapes[$piece->id] ?? null;
            $pair = $piece->mayTurn && $piece->count > 1 && $shape !== null ? HeadToTail::of($shape[0], $shape[1], $trimmer->step, $trimmer->kerf) : null;
            $pair === null || $this->pairs[$piece->id] = $pair;
            if ($pair !== null && $count > 1 && in_array($piece->id, $nested, true)) {
                $this->toCut[] = $this->pair($piece)?->times(intdiv($count, 2)) ?? $piece;
                $count %= 2;
            }
            $count === 0 || $this->toCut[] = $piece->times($count);
        }
    }

    /** Two of a piece head to tail, as one that is wanted once; null where it does not lie so. */
    public function pair(Wanted $piece): ?Wanted
    {
        $box = ($this->pairs[$piece->id] ?? null)?->box;

        return $box === null ? null : new Wanted(self::pairOf($piece->id), $box->width, $box->height, 1, $piece->paper, $piece->mayTurn);
    }

    public static function isPair(string $id): bool
    {
        return str_ends_with($id, self::PAIR);
    }

    /** The id of a piece, whether two of it lie head to tail or not. */
    public static function single(string $id): string
    {
        return self::isPair($id) ? substr($id, 0, -strlen(self::PAIR)) : $id;
    }

    public static function pairOf(string $id): string
    {
        return $id.self::PAIR;
    }

    /**
     * @param list<Wanted> $wanted
     * @param array<string, int> $left
     * @param list<string> $nested
     * @param list<string> $cornered
     * @return array<string, int> how many of each are still to be cut, by id
     */
    private function corners(array $wanted, array $left, array $nested, array $cornered): array
    {
        $off = [];
        foreach ($wanted as $piece) {
            // What lies head to tail, or is made of corners itself, gives none.
            foreach (isset($this->shapes[$piece->id]) && ! in_array($piece->id, [...$nested, ...$cornered], true) ? Corners::off(...$this->shapes[$piece->id]) : [] as $corner) {
                $off[] = ['from' => $piece, 'corner' => $corner, 'count' => $piece->count];
            }
        }
        foreach ($wanted as $piece) {
            $triangle = isset($this->shapes[$piece->id]) ? Corners::triangle(...$this->shapes[$piece->id]) : null;
            foreach ($off as $i => ['from' => $from, 'corner' => $corner, 'count' => $count]) {
                $many = $triangle !== null && $from->id !== $piece->id && $from->paper === $piece->paper && $piece->paper !== '' && Corners::isWithin($triangle, $corner, $piece->mayTurn) ? min($count, $left[$piece->id] - $this->countOf($piece->id)) : 0;
                if ($many > 0) {
                    $this->corners[$piece->id][] = ['from' => $from->id, 'count' => $many];
                    $off[$i]['count'] -= $many;
                }
            }
            in_array($piece->id, $cornered, true) && $left[$piece->id] -= $this->countOf($piece->id);
        }

        return $left;
    }

    private function countOf(string $piece): int
    {
        return array_sum(array_column($this->corners[$piece] ?? [], 'count'));
    }
}
