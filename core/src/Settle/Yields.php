<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Closure;
use Gimbo\Core\CutPlan\SheetYield;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Fit\Remedy;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\SpecEditor;

/**
 * How often each piece comes out of a sheet of its paper, and where a hair less room gives more of them: a sixteenth decides. What is
 * offered was tried: after it more come out, and no fit that held fails.
 */
final readonly class Yields
{
    /** In so many steps of the trimmer at the most. */
    private const MOST_STEPS = 4;

    /** @param Closure(array<string, mixed>): ?Figures $settle what a spec comes to; null where it is none */
    public function __construct(private Closure $settle, private Figures $figures)
    {
    }

    /** @return list<array{PieceFigures, Paper, SheetYield, ?array{Remedy, SheetYield}}> of each piece whose paper has a sheet */
    public function all(): array
    {
        $all = [];
        foreach ($this->figures->pieces as $piece) {
            $paper = $this->paper($piece->id);
            if ($paper->sheet === null) {
                continue;
            }
            $yield = self::of($piece, $paper);
            $all[] = [$piece, $paper, $yield, $this->figures->outfit->piece($piece->id) === null ? $this->nearly($piece->id, $yield->count) : null];
        }

        return $all;
    }

    private function paper(string $piece): Paper
    {
        return $this->figures->outfit->piece($piece)->paper ?? $this->figures->request->paperOf($piece);
    }

    private static function of(PieceFigures $piece, Paper $paper): SheetYield
    {
        return SheetYield::of($piece->sheet, $paper->sheet ?? $piece->sheet, ! $paper->isDirectional && $paper->grain === 'none');
    }

    /** @return ?array{Remedy, SheetYield} the least that is to be given up */
    private function nearly(string $id, int $count): ?array
    {
        $request = $this->figures->request;
        $step = $request->tools->cut->size;
        $least = Clearance::least($request->system);
        $failing = fn (Figures $figures): array => array_column(array_filter($figures->fits, fn (Fit $fit) => ! $fit->isOk()), 'id');
        $words = LengthFormatter::for($request->system);
        for ($n = 1; $n <= self::MOST_STEPS; $n++) {
            foreach ([['width'], ['height'], ['width', 'height']] as $sides) {
                $less = $request->clearance->moved(array_fill_keys($sides, -$n), $step, $least);
                if ($less === null) {
                    continue;
                }
                $edits = array_combine(array_map(fn (string $side) => "/clearance/$side", $sides), array_map($words->text(...), array_values($less)));
                $after = ($this->settle)(SpecEditor::with($request->spec, $edits));
                $piece = array_values(array_filter($after->pieces ?? [], fn (PieceFigures $one) => $one->id === $id))[0] ?? null;
                $yield = $piece === null ? null : self::of($piece, $this->paper($id));
                if ($after !== null && $yield !== null && $yield->count > $count && array_diff($failing($after), $failing($this->figures)) === []) {
                    $to = array_map($words->rounded(...), $less);

                    return [new Remedy(count($sides) === 1 ? "less-room-$sides[0]" : 'less-room', $edits, count($sides) === 1 ? ['to' => array_values($to)[0]] : $to), $yield];
                }
            }
        }

        return null;
    }
}
