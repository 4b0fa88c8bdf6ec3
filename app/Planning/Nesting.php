<?php

declare(strict_types=1);

namespace App\Planning;

use Gimbo\Core\CutPlan\Trimmer;
use Gimbo\Core\CutPlan\Wanted;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Nest\Corners;
use Gimbo\Core\Nest\HeadToTail;

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

    /** @var list<Wanted> what is cut, pairs as one */
    public array $wanted = [];

    /**
     * @param list<Wanted> $wanted with their papers
     * @param array<string, Piece> $pieces by the plan's ids
     */
    public function __construct(array $wanted, private readonly array $pieces, Asked $asked, Trimmer $trimmer)
    {
        $left = $this->corners($wanted, $asked);
        foreach ($wanted as $piece) {
            $count = $left[$piece->id];
            $shape = $this->pieces[$piece->id] ?? null;
            $pair = $piece->mayTurn && $piece->count > 1 && $shape !== null ? HeadToTail::of($shape->pattern()->vertices, $shape->sheet, $trimmer->step, $trimmer->kerf) : null;
            $pair === null || $this->pairs[$piece->id] = $pair;
            if ($pair !== null && $count > 1 && in_array($piece->id, $asked->nested, true)) {
                $this->wanted[] = new Wanted($piece->id.self::PAIR, $pair->box->width, $pair->box->height, intdiv($count, 2), $piece->paper, $piece->mayTurn);
                $count %= 2;
            }
            $count === 0 || $this->wanted[] = $piece->times($count);
        }
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
     * @return array<string, int> how many of each are still to be cut, by id
     */
    private function corners(array $wanted, Asked $asked): array
    {
        $left = array_column(array_map(fn (Wanted $piece): array => [$piece->id, $piece->count], $wanted), 1, 0);
        $off = [];
        foreach ($wanted as $piece) {
            // What lies head to tail, or is made of corners itself, gives none.
            foreach (isset($this->pieces[$piece->id]) && ! in_array($piece->id, [...$asked->nested, ...$asked->corners], true) ? Corners::off($this->pieces[$piece->id]->pattern()->vertices, $this->pieces[$piece->id]->sheet) : [] as $corner) {
                $off[] = ['from' => $piece, 'corner' => $corner, 'count' => $piece->count];
            }
        }
        foreach ($wanted as $piece) {
            $triangle = isset($this->pieces[$piece->id]) ? Corners::triangle($this->pieces[$piece->id]->pattern()->vertices, $this->pieces[$piece->id]->sheet) : null;
            foreach ($off as $i => ['from' => $from, 'corner' => $corner, 'count' => $count]) {
                $many = $triangle !== null && $from->id !== $piece->id && $from->paper === $piece->paper && $piece->paper !== '' && Corners::isWithin($triangle, $corner, $piece->mayTurn) ? min($count, $left[$piece->id] - $this->cornered($piece->id)) : 0;
                if ($many > 0) {
                    $this->corners[$piece->id][] = ['from' => $from->id, 'count' => $many];
                    $off[$i]['count'] -= $many;
                }
            }
            in_array($piece->id, $asked->corners, true) && $left[$piece->id] -= $this->cornered($piece->id);
        }

        return $left;
    }

    private function cornered(string $piece): int
    {
        return array_sum(array_column($this->corners[$piece] ?? [], 'count'));
    }
}
