<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\CutPlan\Planner;
use PHPUnit\Framework\TestCase;

/**
 * Pieces of one size against an integer program, solved by GLPK (glpsol 5.0): parts of the sheet as Ben Messaoud, Chu and Espinouse or Furini,
 * Malaguti and Thomopulos model them (INFORMS Journal on Computing 28, 2016): so many parts of each size, cut so, and none used that
 * was not made.
 */
final class CutPlanTest extends TestCase
{
    public function test_pieces_of_one_size_are_as_many_as_an_integer_program_finds(): void
    {
        mt_srand(28);
        for ($run = 0; $run < 10; $run++) {
            [$w, $h, $a, $b] = [mt_rand(12, 24), mt_rand(12, 24), mt_rand(3, 8), mt_rand(3, 8)];
            if ($a === $b) {
                continue;
            }
            $most = self::solved($w, $h, $a, $b);
            foreach ([$most, $most + 1] as $count) {
                $job = JobReader::read([
                    'pieces' => [['id' => 'p', 'width' => "{$a}0 mm", 'height' => "{$b}0 mm", 'count' => max(1, $count)]],
                    'stock' => [['id' => 's', 'width' => "{$w}0 mm", 'height' => "{$h}0 mm", 'count' => 9]], 'trimmer' => ['step' => '1 mm', 'kerf' => '0 mm'],
                ]);
                self::assertSame($most === 0 ? 0 : (int) ceil($count / $most), Planner::plan($job)->used()['s'], "$count of $a × $b out of $w × $h");
            }
        }
    }

    /** The most that come out of one sheet, by cuts from edge to edge at whole units. */
    private static function solved(int $w, int $h, int $a, int $b): int
    {
        $ends = fn (int $side): array => array_values(array_filter(range(1, $side), function (int $end) use ($a, $b): bool {
            for ($x = 0; $x <= $end; $x += $a) {
                if (($end - $x) % $b === 0) {
                    return true;
                }
            }

            return false;
        }));
        // Every part there can be, and every way to cut it; a part as large as a piece may be that piece.
        $parts = [[$w, $h]];
        $ways = [];
        for ($i = 0; $i < count($parts); $i++) {
            [$x, $y] = $parts[$i];
            foreach ($ends($x) as $at) {
                $at < $x && $ways[] = [$i, [$at, $y], [$x - $at, $y]];
            }
            foreach ($ends($y) as $at) {
                $at < $y && $ways[] = [$i, [$x, $at], [$x, $y - $at]];
            }
            foreach ($ways as [$of, $one, $two]) {
                foreach ($of === $i ? [$one, $two] : [] as $part) {
                    $holds = ($part[0] >= $a && $part[1] >= $b) || ($part[0] >= $b && $part[1] >= $a);
                    $holds && ! in_array($part, $parts, true) && $parts[] = $part;
                }
            }
        }
        $makes = array_fill(0, count($parts), '');
        foreach ($ways as $n => [$of, $one, $two]) {
            $makes[$of] .= " - c$n";
            foreach ($one === $two ? [[$one, 2]] : [[$one, 1], [$two, 1]] as [$part, $times]) {
                $at = array_search($part, $parts, true);
                $at === false || $makes[$at] .= " + $times c$n";
            }
        }
        $lines = $pieces = [];
        foreach ($parts as $i => [$x, $y]) {
            $isPiece = ($x === $a && $y === $b) || ($x === $b && $y === $a);
            $isPiece && $pieces[] = "p$i";
            ($makes[$i] !== '' || $isPiece) && $lines[] = " part$i:".$makes[$i].($isPiece ? " - p$i" : '').' >= '.($i === 0 ? -1 : 0);
        }
        if ($pieces === []) {
            return 0;
        }
        $all = [...array_map(fn (int $n): string => "c$n", array_keys($ways)), ...$pieces];
        $model = "Maximize\n most: ".implode("\n + ", $pieces)."\nSubject To\n".implode("\n", $lines)."\nGeneral\n ".implode("\n ", $all)."\nEnd\n";
        [$in, $out] = [(string) tempnam(sys_get_temp_dir(), 'gimbo'), (string) tempnam(sys_get_temp_dir(), 'gimbo')];
        file_put_contents($in, $model);
        Program::answer(['glpsol', '--lp', $in, '--cuts', '-o', $out]);
        $solved = (string) file_get_contents($out);
        array_map(unlink(...), [$in, $out]);
        self::assertStringContainsString('INTEGER OPTIMAL', $solved);
        preg_match('/^Objective:\s+most = (\d+)/m', $solved, $is);

        return (int) ($is[1] ?? self::fail('GLPK names no most.'));
    }
}
