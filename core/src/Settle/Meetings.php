<?php

declare(strict_types=1);

namespace Gimbo\Core\Settle;

use Closure;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Paper\Rectangle;
use Gimbo\Core\Spec\Clearance;
use Gimbo\Core\Spec\SpecEditor;

/**
 * Where pieces of several designs could be cut at one size: each piece has sizes at which all the fits of its design hold that held before,
 * some steps more or less of room; where they meet, the size that most of them reach with the least change. Everything offered was tried.
 *
 * @phpstan-type Reached array{design: string, piece: string, edits: array<string, string>, by: array<string, Length>, cost: int, size: Rectangle}
 */
final readonly class Meetings
{
    /** So many steps of the trimmer more or less room, in two directions at once or in the depth: what is more is another size, no hair. */
    private const MOST_STEPS = 4;

    /** A piece that differs by more than this from every other one is not looked at: half an inch, twice what four sixteenths on two sides come to. */
    private const NEAR_MM = 13;

    /** @param Closure(array<string, mixed>): ?Figures $settle what a spec comes to; null where it is none */
    public function __construct(private Closure $settle)
    {
    }

    /**
     * @param array<string, array<string, mixed>> $specs by design
     * @param Closure(string, string): ?string $paperOf what a design's piece is cut from; null where it is not looked at
     * @return list<Meeting> a design in one of them at the most
     */
    public function of(array $specs, Closure $paperOf): array
    {
        $figures = array_filter(array_map($this->settle, $specs));
        $reached = [];
        foreach ($figures as $design => $of) {
            $design = (string) $design;
            $near = array_values(array_filter(array_map(fn ($piece) => $piece->id, $of->made()->pieces), fn (string $piece) => $this->isNearAnother($figures, $design, $piece, $paperOf)));
            foreach ($near === [] ? [] : $this->reachable($of, $specs[$design]) as [$edits, $by, $after]) {
                foreach ($near as $piece) {
                    $sheet = $after->find($piece)?->sheet;
                    if ($sheet !== null) {
                        [$long, $short] = [Length::max($sheet->width, $sheet->height), Length::min($sheet->width, $sheet->height)];
                        $cost = array_sum(array_map(fn (Length $one): int => abs($one->ticks), $by));
                        $key = $paperOf($design, $piece)." $long->ticks $short->ticks";
                        $known = $reached[$key][$design] ?? null;
                        ($known === null || $cost < $known['cost']) && $reached[$key][$design] = ['design' => $design, 'piece' => $piece, 'edits' => $edits, 'by' => $by, 'cost' => $cost, 'size' => new Rectangle($long, $short)];
                    }
                }
            }
        }

        return $this->best($reached);
    }

    /**
     * @param array<string, array<string, Reached>> $reached by paper and size, by design
     * @return list<Meeting>
     */
    private function best(array $reached): array
    {
        $meetings = [];
        while (true) {
            $best = null;
            foreach ($reached as $all) {
                count($all) > 1 && array_sum(array_column($all, 'cost')) > 0 && ($best === null || self::rank($all) > self::rank($best)) && $best = $all;
            }
            if ($best === null) {
                return $meetings;
            }
            $meetings[] = new Meeting(array_values($best)[0]['size'], array_values(array_map(fn (array $one): array => ['design' => $one['design'], 'piece' => $one['piece'], 'edits' => $one['edits'], 'by' => $one['by']], $best)));
            $reached = array_map(fn (array $all): array => array_diff_key($all, $best), $reached);
        }
    }

    /**
     * Most designs first, then the least change; of those alike rather more room than less.
     *
     * @param array<string, Reached> $all
     * @return array{int, int, int}
     */
    private static function rank(array $all): array
    {
        $more = 0;
        foreach ($all as $one) {
            foreach ($one['by'] as $by) {
                $more += $by->ticks;
            }
        }

        return [count($all), -array_sum(array_column($all, 'cost')), $more];
    }

    /**
     * @param array<string, Figures> $figures
     * @param Closure(string, string): ?string $paperOf
     */
    private function isNearAnother(array $figures, string $design, string $piece, Closure $paperOf): bool
    {
        $paper = $paperOf($design, $piece);
        $sides = fn (Rectangle $sheet): array => [max($sheet->width->toMillimetres(), $sheet->height->toMillimetres()), min($sheet->width->toMillimetres(), $sheet->height->toMillimetres())];
        $own = $sides($figures[$design]->piece($piece)->sheet);
        foreach ($figures as $other => $of) {
            foreach ($of->made()->pieces as $one) {
                $its = $sides($one->sheet);
                if ((string) $other !== $design && $paper !== null && $paperOf((string) $other, $one->id) === $paper && $its !== $own && max(abs($its[0] - $own[0]), abs($its[1] - $own[1])) <= self::NEAR_MM) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param array<string, mixed> $spec
     * @return iterable<array{array<string, string>, array<string, Length>, Figures}> as it is, and with some steps more or less room where every fit holds that held
     */
    private function reachable(Figures $figures, array $spec): iterable
    {
        yield [[], [], $figures];
        $request = $figures->request;
        $step = $request->tools->cut->size;
        $least = Clearance::least($request->system);
        $words = LengthFormatter::for($request->system);
        $failing = array_column($figures->failing(), 'id');
        $steps = range(-self::MOST_STEPS, self::MOST_STEPS);
        $ways = array_map(fn (int $n): array => ['depth' => $n], $steps);
        foreach ($steps as $w) {
            foreach ($steps as $h) {
                $ways[] = ['width' => $w, 'height' => $h];
            }
        }
        foreach ($ways as $way) {
            $way = array_filter($way);
            $room = $way === [] ? null : $request->clearance->moved($way, $step, $least);
            if ($room === null) {
                continue;
            }
            $edits = array_combine(array_map(fn (string $side): string => "/clearance/$side", array_keys($room)), array_map($words->text(...), array_values($room)));
            $by = array_map($step->times(...), $way);
            $after = ($this->settle)(SpecEditor::with($spec, $edits));
            if ($after !== null && array_diff(array_column($after->failing(), 'id'), $failing) === []) {
                yield [$edits, $by, $after];
            }
        }
    }
}
