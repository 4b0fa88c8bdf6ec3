<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Steps;

use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Kind;
use Gimbo\Core\Spec\Row;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Steps followed word by word become the thing: outline, slits, creases with their angles and names come out as the pattern has
 * them, by the readings alone and by the coordinates alone, piece by piece and tool by tool.
 */
final class StepsTest extends TestCase
{
    private const SEED = 20261127;

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_random_requests_are_followed_to_the_thing(string $make): void
    {
        mt_srand(self::SEED);
        $runs = max(10, intdiv((int) (getenv('GIMBO_PROPERTY_RUNS') ?: 400), 4));
        for ($run = 0; $run < $runs; $run++) {
            $spec = Specs::random($make);
            self::assertSame([], self::complaints(self::sized($spec)), json_encode($spec, JSON_THROW_ON_ERROR));
        }
    }

    /** What goes with a make is followed like the make itself: layers, openings through all of them, what lies behind and around. */
    #[DataProvider('makes')]
    public function test_random_requests_with_what_goes_with_them_are_followed_to_the_thing(string $make): void
    {
        mt_srand(self::SEED + 14);
        $added = 0;
        for ($run = 0; $run < max(10, intdiv((int) (getenv('GIMBO_PROPERTY_RUNS') ?: 400), 8)); $run++) {
            $spec = Specs::dressed(Specs::random($make));
            $result = self::sized($spec);
            self::assertSame([], self::complaints($result), json_encode($spec, JSON_THROW_ON_ERROR));
            $added += count(array_filter($result['pieces'], fn (array $piece) => $piece['role'] !== 'made'));
        }
        self::assertGreaterThan(10, $added);
    }

    /** Every choice with every other, at an ordinary size and at an odd one. */
    #[DataProvider('makes')]
    public function test_every_combination_of_choices_is_followed_to_the_thing(string $make): void
    {
        $followed = 0;
        foreach (self::combinations(Makes::all()->find($make)?->options() ?? []) as $options) {
            foreach ([['5 1/2 in', '4 1/4 in', '1/4 in', 'imperial'], ['61 mm', '137 mm', '31 mm', 'metric']] as [$width, $height, $thickness, $system]) {
                $spec = ['make' => $make, 'holds' => ['width' => $width, 'height' => $height, 'thickness' => $thickness], 'system' => $system, 'options' => $options];
                self::assertSame([], self::complaints(self::sized($spec)), json_encode($spec, JSON_THROW_ON_ERROR));
                $followed++;
            }
        }
        self::assertGreaterThan(1, $followed);
    }

    /** A reading that is moved by a millimetre, an angle turned over, a piece more taken off: whoever follows it ends with another thing. */
    #[DataProvider('makes')]
    public function test_any_reading_that_is_moved_is_found(string $make): void
    {
        $spec = ['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in']];
        foreach (['method' => 'score-board', 'trayWall' => 'doubled', 'dividers' => 2, 'topEnd' => 'rounded'] as $option => $value) {
            $known = array_map(fn (Row $one) => $one->name, Makes::all()->find($make)?->options() ?? []);
            in_array($option, $known, true) && $spec['options'][$option] = $value;
        }
        $result = self::sized($spec);
        self::assertSame([], self::complaints($result));
        $moved = 0;
        foreach ($result['steps'] as $i => $step) {
            foreach (self::readings($step['ops']) as $path) {
                $steps = $result['steps'];
                $figure = &$steps[$i]['ops'];
                foreach ($path as $key) {
                    $figure = &$figure[$key];
                }
                $figure += 1.0;
                unset($figure);
                $complaints = Followed::complaints(['steps' => $steps] + $result, array_keys($steps), Follower::BY_READINGS);
                self::assertNotSame([], $complaints, "$step[id] ".implode('/', $path));
                $moved++;
            }
        }
        self::assertGreaterThan(0, $moved);
    }

    /** Each reading that a tool is set to is on its scale and the piece's own measure; its edge or corner lies at the fence, turned as is said. */
    #[DataProvider('makes')]
    public function test_readings_are_measures_and_their_edge_lies_at_the_fence(string $make): void
    {
        mt_srand(self::SEED + 1);
        $read = 0;
        for ($run = 0; $run < 60; $run++) {
            $result = self::sized(Specs::random($make));
            $pieces = array_column($result['pieces'], null, 'id');
            foreach ($result['steps'] as $step) {
                $piece = $pieces[$step['piece']];
                $step['fence'] === null || self::assertSame($step['fence'], self::atTheFence($step, $piece['sheet']), $step['id']);
                foreach ($step['ops'] as $op) {
                    if (! isset($op['measure'])) {
                        continue;
                    }
                    $measure = $piece['measures'][$op['measure']];
                    $figures = array_filter([$op['on']['at'] ?? null, $op['on']['rail']['at'] ?? null, ...array_column($op['on']['through']['by'] ?? [], 'at')], is_numeric(...));
                    self::assertContains((float) $measure['at'], array_map(fn (float $figure) => round($figure, 4), $figures), "$step[id] says $measure[at]");
                    $steps = $measure['at'] / $measure['scale']['step'];
                    str_starts_with($measure['text'], '≈') || self::assertEqualsWithDelta(round($steps), $steps, 1e-3, $step['id']);
                    $read++;
                }
            }
        }
        self::assertGreaterThan(0, $read);
    }

    /** Ids are as many as steps, and stay what they are when only the size changes. */
    #[DataProvider('makes')]
    public function test_ids_are_their_own_and_stay(string $make): void
    {
        $ids = fn (string $width): array => array_column(self::sized(['make' => $make, 'holds' => ['width' => $width, 'height' => '4 1/4 in', 'thickness' => '1/8 in']])['steps'], 'id');
        self::assertSame(array_unique($ids('5 1/2 in')), $ids('5 1/2 in'));
        self::assertSame([], array_diff($ids('5 1/2 in'), [...$ids('5 3/4 in'), ...$ids('6 1/4 in')]));
    }

    /** Joins tie all pieces to one another, or it is said why one stays loose. */
    #[DataProvider('makes')]
    public function test_joins_tie_all_pieces_into_one(string $make): void
    {
        foreach ([[], ['sheets' => 2, 'dividers' => 2]] as $options) {
            $options !== [] && $make !== 'slope-box' && $options = [];
            $result = self::sized(['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1/4 in'], 'options' => $options]);
            $groups = [];
            foreach ($result['pieces'] as $piece) {
                for ($copy = 1; $copy <= $piece['count']; $copy++) {
                    $groups["$piece[id] $copy"] = "$piece[id] $copy";
                }
            }
            foreach ($result['joins'] as ['a' => $a, 'b' => $b]) {
                [$from, $to] = [$groups["$a[piece] $a[copy]"], $groups["$b[piece] $b[copy]"]];
                $groups = array_map(fn (string $group) => $group === $from ? $to : $group, $groups);
            }
            $loose = array_column($result['loose'], 'piece');
            $tied = array_filter($groups, fn (string $one) => ! in_array(explode(' ', $one)[0], $loose, true), ARRAY_FILTER_USE_KEY);
            self::assertCount(1, array_unique($tied), $make);
            // What is said to be loose is.
            foreach ($loose as $piece) {
                self::assertNotContains($groups["$piece 1"], $tied, $piece);
            }
        }
    }

    /**
     * Folded, what is said to meet does: all points of two pieces that come to lie on one another are as far apart on the one as on the
     * other, and within a piece they are one.
     */
    #[DataProvider('makes')]
    public function test_points_that_are_said_to_meet_coincide_when_folded(string $make): void
    {
        mt_srand(self::SEED + 2);
        $compared = 0;
        for ($run = 0; $run < 40; $run++) {
            $spec = Specs::random($make);
            // The front of an organizer with narrow sides is another width than its back where the trimmer's step makes it so.
            unset($spec['options']['frontTabs']);
            // So is a wallet's strip than its gusset, on tools whose steps do not go together.
            if ($make === 'note-wallet') {
                unset($spec['tools']);
            }
            $design = Sizing::ofEverything()->size($spec);
            $pairs = [];
            foreach (self::sized($spec)['joins'] as ['a' => $a, 'b' => $b, 'meet' => $meet, 'area' => $area]) {
                $there = function (array $end, array $point) use ($design): Vector {
                    $folding = $design->piece($end['piece'])?->folding() ?? self::fail();

                    return Overlap::inSpace($folding, $folding->pattern->faceNamed($end['face']), new Point(...array_map(floatval(...), $point['is'])));
                };
                foreach ($meet as [$one, $two]) {
                    $pairs["$a[piece] $a[copy] $b[piece] $b[copy]"][] = [$there($a, $one), $there($b, $two)];
                }
                self::assertGreaterThan(2, count($area));
            }
            foreach ($pairs as $pieces => $meeting) {
                [$one, $copy, $two, $other] = explode(' ', $pieces);
                foreach ($meeting as $i => [$here, $there]) {
                    "$one $copy" === "$two $other" && self::assertLessThan(0.01, $here->minus($there)->length(), "$pieces ".json_encode($spec));
                    for ($j = 0; $j < $i; $j++) {
                        self::assertEqualsWithDelta($here->minus($meeting[$j][0])->length(), $there->minus($meeting[$j][1])->length(), 0.01, "$pieces $i $j ".json_encode($spec));
                        $compared++;
                    }
                }
            }
        }
        self::assertSame(in_array($make, ['folded-card', 'diamond-card', 'slant-gate-card'], true), $compared === 0);
    }

    /**
     * @param array<string, mixed> $spec
     * @return array<string, mixed> as the command prints it
     */
    private static function sized(array $spec): array
    {
        return json_decode(json_encode(DesignWriter::write(Sizing::ofEverything()->size($spec)), JSON_THROW_ON_ERROR), true);
    }

    /**
     * @param array<string, mixed> $result
     * @return list<string>
     */
    private static function complaints(array $result): array
    {
        $complaints = [];
        foreach (['piece by piece' => array_keys($result['steps']), 'tool by tool' => $result['byTool']] as $how => $order) {
            foreach ([Follower::BY_READINGS, Follower::BY_COORDINATES] as $mode) {
                array_push($complaints, ...array_map(fn (string $complaint) => "$how, by $mode: $complaint", Followed::complaints($result, $order, $mode)));
            }
        }

        return $complaints;
    }

    /**
     * @param list<Row> $specs
     * @return list<array<string, mixed>>
     */
    private static function combinations(array $specs): array
    {
        $all = [[]];
        foreach ($specs as $spec) {
            $values = match (true) {
                $spec->kind === Kind::Choice => $spec->choices,
                $spec->name === 'sheets' => [1, 2],
                $spec->name === 'dividers' => [0, 3],
                default => [],
            };
            $all = $values === [] ? $all : array_merge(...array_map(fn (array $options) => array_map(fn (mixed $value) => $options + [$spec->name => $value], $values), $all));
        }

        return $all;
    }

    /**
     * Where in an op's data a hand reads: the places of all `at`, `off` and radii that lines and what comes off are found by.
     *
     * @param array<mixed> $data
     * @param list<int|string> $path
     * @return list<list<int|string>>
     */
    private static function readings(array $data, array $path = []): array
    {
        $found = [];
        foreach ($data as $key => $value) {
            if (is_array($value) && ! in_array($value['op'] ?? '', ['join', 'put', 'name'], true)) {
                array_push($found, ...self::readings($value, [...$path, $key]));
            }
            // An edge at nought is no reading.
            if (in_array($key, ['at', 'off'], true) && is_numeric($value) && abs((float) $value) > 1e-9 && ! in_array('measure', $path, true)) {
                $found[] = [...$path, $key];
            }
        }

        return $found;
    }

    /**
     * @param array<string, mixed> $step
     * @param array<string, mixed> $sheet
     */
    private static function atTheFence(array $step, array $sheet): string
    {
        [$w, $h, $turn] = [$sheet['width'], $sheet['height'], deg2rad($step['turn'])];
        // Clockwise, x to the right and y up.
        $x = fn (float $px, float $py): float => $px * cos($turn) + $py * sin($turn);
        $y = fn (float $px, float $py): float => -$px * sin($turn) + $py * cos($turn);
        $places = str_contains($step['fence'], '-')
            ? ['bottom-left' => [0, 0], 'bottom-right' => [$w, 0], 'top-left' => [0, $h], 'top-right' => [$w, $h]]
            : ['left' => [0, $h / 2], 'right' => [$w, $h / 2], 'bottom' => [$w / 2, 0], 'top' => [$w / 2, $h]];
        if (isset($step['ops'][0]['on']['rail'])) {
            // The corner lies to the left of the rail, that stands upright.
            return array_key_exists($step['fence'], $places) ? $step['fence'] : 'nowhere';
        }
        $out = array_map(fn (array $p) => $step['with'] === 'punch-board' ? $y(...$p) : -$x(...$p), $places);

        return (string) array_search(max($out), $out, true);
    }
}
