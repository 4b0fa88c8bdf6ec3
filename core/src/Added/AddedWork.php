<?php

declare(strict_types=1);

namespace Gimbo\Core\Added;

use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\Opened;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Settle\AddedPiece;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Settle\Supply;
use Gimbo\Core\Spec\Addition;
use Gimbo\Core\Steps\Bench;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\Op\NameOp;
use Gimbo\Core\Steps\Op\Op;
use Gimbo\Core\Steps\Spot;
use Gimbo\Core\Steps\WorkStep;

/**
 * The work on what goes with a make, each at its place among the make's own steps: openings while the sheet is flat; layers cut and glued
 * on before anything is glued up; what goes round it, at the end.
 */
final class AddedWork
{
    /** @var array<int, list<WorkStep>> what comes before a step of the make */
    private array $before = [];

    /** @var list<WorkStep> */
    private array $after = [];

    /** @var list<WorkStep> */
    private array $last = [];

    /**
     * @param list<WorkStep> $steps the make's own
     * @param \Closure(string): Pattern $patternOf one of the make's own pieces, its openings in it
     */
    private function __construct(private readonly Roles $roles, private readonly array $steps, public readonly Figures $figures, private readonly \Closure $patternOf)
    {
    }

    /**
     * @param list<WorkStep> $steps the make's own
     * @param \Closure(string): Pattern $patternOf
     * @return list<WorkStep>
     */
    public static function among(Roles $roles, array $steps, Figures $figures, \Closure $patternOf): array
    {
        $work = new self($roles, $steps, $figures, $patternOf);
        $work->layers();
        foreach (Stage::cases() as $stage) {
            foreach ($figures->request->with as $addition) {
                $role = $roles->of($addition);
                $role->stage() === $stage && $role->work($addition, $work);
            }
        }

        return $work->merged();
    }

    /** The make's piece that is begun with. */
    public function firstPiece(): string
    {
        return $this->steps[0]->piece;
    }

    public function phase(string $piece): int
    {
        return array_values(array_filter($this->steps, fn (WorkStep $step) => $step->piece === $piece))[0]->phase;
    }

    public function lastPhase(): int
    {
        return max([0, ...array_map(fn (WorkStep $step) => $step->phase, $this->steps)]);
    }

    /** @return list<AddedPiece> an addition's pieces that lie on nothing */
    public function loosePieces(Addition $addition): array
    {
        return array_values(array_filter($this->figures->outfit->pieces, fn (AddedPiece $piece) => $piece->addition === $addition && $piece->placings === []));
    }

    /** @return list<Supply> */
    public function supplies(Addition $addition): array
    {
        return array_values(array_filter($this->figures->outfit->supplies, fn (Supply $supply) => $supply->addition === $addition));
    }

    /** @return list<WorkStep> a piece cut and made ready */
    public function cut(AddedPiece $piece, int $phase): array
    {
        return Cutting::of($piece, $this->figures->request->tools->punches, $phase, fn () => $this->onFlat($piece->id(), $phase));
    }

    /** Puts steps before the first of a kind that is done to a piece of the make. */
    public function before(string $piece, Deed $do, WorkStep ...$steps): void
    {
        $this->put($this->first($piece, [$do]), array_values($steps));
    }

    /** Puts steps after all of the make's. */
    public function after(WorkStep ...$steps): void
    {
        array_push($this->after, ...array_values($steps));
    }

    /** Puts a step after all others. */
    public function atLast(WorkStep $step): void
    {
        $this->last[] = $step;
    }

    public static function bench(PieceFigures $piece): Bench
    {
        return new Bench($piece->id, $piece->sheet->width->toMillimetres(), $piece->sheet->height->toMillimetres());
    }

    public static function found(Bench $bench, Point $p): Spot
    {
        return $bench->at($bench->in('left', $p->x), $bench->in('bottom', $p->y));
    }

    /** What is done to flat sheets, and layers: cut, and glued on before anything is glued up. */
    private function layers(): void
    {
        $layers = $this->figures->outfit->pieces;
        // What lies behind a window first, what hides its glue last.
        usort($layers, fn (AddedPiece $a, AddedPiece $b) => $a->kind->order <=> $b->kind->order);
        foreach (array_unique(array_map(fn (WorkStep $step) => $step->piece, $this->steps)) as $piece) {
            [$flat, $glue] = [$this->first($piece, [Deed::Fold]), $this->first($piece, [Deed::Glue, Deed::Close, Deed::Fill])];
            $phase = $this->phase($piece);
            $this->put(min($flat, $glue), $this->onFlat($piece, $phase));
            foreach ($layers as $layer) {
                if ($layer->placings !== [] && $this->figures->outfit->bottom($layer->placings[0])->piece === $piece) {
                    $this->put($glue, [...$this->cut($layer, $phase), ...array_filter([Gluing::of($this->figures, $layer, $phase)])]);
                }
            }
        }
    }

    /** @return list<WorkStep> */
    private function onFlat(string $piece, int $phase): array
    {
        return array_merge([], ...array_map(fn (Role $role) => $role->onFlat($this->figures, $piece, $phase), $this->roles->list()));
    }

    /** @param list<WorkStep> $steps */
    private function put(int $before, array $steps): void
    {
        $steps === [] || $this->before[$before] = [...$this->before[$before] ?? [], ...$steps];
    }

    /**
     * The first step of some kinds that is done to a piece; the one after its last, where there is none.
     *
     * @param list<Deed> $deeds
     */
    private function first(string $piece, array $deeds): int
    {
        $last = 0;
        $isOfIt = fn (Join $join): bool => $join->onto->piece === $piece || $join->face->piece === $piece;
        foreach ($this->steps as $i => $step) {
            $isOf = $step->piece === $piece || array_filter($step->joins, $isOfIt) !== [];
            if ($isOf && in_array($step->do, $deeds, true)) {
                return $i;
            }
            $isOf && $last = $i + 1;
        }

        return $last;
    }

    /** @return list<WorkStep> */
    private function merged(): array
    {
        $merged = [];
        foreach ($this->steps as $i => $step) {
            array_push($merged, ...$this->before[$i] ?? [], ...[$this->renamed($step)]);
        }

        return [...$merged, ...$this->before[count($this->steps)] ?? [], ...$this->after, ...$this->last];
    }

    /** A step of the make, its faces named where there still is paper, the parts of those with an opening too. */
    private function renamed(WorkStep $step): WorkStep
    {
        $opened = $this->figures->outfit->openings[$step->piece] ?? [];
        if ($opened === [] || array_filter($step->ops, fn (Op $op) => $op instanceof NameOp && isset($opened[$op->face])) === []) {
            return $step;
        }
        $pattern = ($this->patternOf)($step->piece);
        $bench = self::bench($this->figures->piece($step->piece));
        $ops = [];
        foreach ($step->ops as $op) {
            if (! $op instanceof NameOp || ! isset($opened[$op->face])) {
                $ops[] = $op;

                continue;
            }
            foreach ($pattern->faces as $f => $face) {
                if ($face->name === $op->face || str_starts_with((string) $face->name, "$op->face-part-")) {
                    $at = Opened::inside($pattern->polygon($f));
                    $ops[] = $bench->name((string) $face->name, $op->role, $at->x, $at->y);
                }
            }
        }

        return $step->withOps($ops);
    }
}
