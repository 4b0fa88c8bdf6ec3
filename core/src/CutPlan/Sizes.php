<?php

declare(strict_types=1);

namespace Gimbo\Core\CutPlan;

use Gimbo\Core\Measure\Length;

/** The sizes that are wanted of one paper, in ticks with a kerf added to both sides, the largest first. Pieces alike are one size. */
final readonly class Sizes
{
    /** @var list<int> */
    public array $widths;

    /** @var list<int> */
    public array $heights;

    /** @var list<bool> */
    public array $mayTurn;

    /** @var list<int> how many of each */
    public array $counts;

    /** @var list<array{width: bool, height: bool}> along which equal ones in a row share scores */
    public array $rows;

    /** @var list<?list<string>> the stock each may come out of */
    public array $stock;

    /** @var list<?Run> the run each is, laid as one; null for pieces */
    public array $runs;

    /** @var list<string> what each is known by, whatever else is wanted */
    public array $keys;

    /** @var list<list<array{string, int}>> the pieces of each size: ids, and how many of each */
    public array $pieces;

    /**
     * @param list<Wanted> $wanted
     * @param int $kerf ticks
     * @param list<Run> $runs that are laid; their pieces are not among those that are wanted
     */
    public function __construct(array $wanted, public int $kerf, array $runs = [])
    {
        $alike = [];
        $runs = array_column(array_map(fn (Run $run): array => [$run->id, $run], $runs), 1, 0);
        $wanted = [...$wanted, ...array_values(array_map(fn (Run $run): Wanted => $run->whole(Length::ofTicks($kerf)), $runs))];
        foreach ($wanted as $piece) {
            [$w, $h] = [$piece->width->ticks + $kerf, $piece->height->ticks + $kerf];
            $isSwapped = $piece->mayTurn && $h > $w;
            $key = ($isSwapped ? "$h $w" : "$w $h").($piece->mayTurn ? '' : ' fixed').json_encode($piece->stock).(isset($runs[$piece->id]) ? " run $piece->id" : '');
            $alike[$key] ??= [$isSwapped ? $h : $w, $isSwapped ? $w : $h, $piece->mayTurn && $w !== $h, 0, $piece->stock, [], ['width' => false, 'height' => false]];
            $alike[$key][3] += $piece->count;
            $alike[$key][5][] = [$piece->id, $piece->count];
            foreach ($piece->rows as $along) {
                $alike[$key][6][$isSwapped ? ['width' => 'height', 'height' => 'width'][$along] : $along] = true;
            }
        }
        foreach ($alike as $key => $size) {
            $alike[$key][] = $key;
        }
        usort($alike, fn (array $a, array $b) => [$b[0] * $b[1], $b[0], $b[1]] <=> [$a[0] * $a[1], $a[0], $a[1]]);
        $this->widths = array_column($alike, 0);
        $this->heights = array_column($alike, 1);
        $this->mayTurn = array_column($alike, 2);
        $this->counts = array_column($alike, 3);
        $this->stock = array_column($alike, 4);
        $this->pieces = array_column($alike, 5);
        $this->keys = array_column($alike, 7);
        $this->runs = array_map(fn (array $pieces): ?Run => $runs[$pieces[0][0]] ?? null, $this->pieces);
        $this->rows = array_column($alike, 6);
    }

    public function total(): int
    {
        return array_sum($this->counts);
    }
}
