<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\CutPlan;

use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\CutPlan\Part;
use Gimbo\Core\CutPlan\Planner;
use PHPUnit\Framework\TestCase;

/** How what lies beside one another in a sheet is put in order before it is cut. */
final class RowsTest extends TestCase
{
    /** Three that share their scores, and one of another size in the same strip: the three are cut off together, then parted. */
    public function test_equal_pieces_that_share_scores_hang_together_until_they_are_parted(): void
    {
        $job = fn (array $rows): array => ['pieces' => [
            ['id' => 'strip', 'width' => '60 mm', 'height' => '100 mm', 'count' => 3, 'turn' => false, 'rows' => $rows], ['id' => 'other', 'width' => '40 mm', 'height' => '100 mm', 'count' => 1, 'turn' => false],
        ], 'stock' => [['id' => 's', 'width' => '220 mm', 'height' => '100 mm']]];
        foreach ([[['width'], true], [['height'], false], [[], false]] as [$rows, $isTogether]) {
            PlannerTest::planned($job($rows));
            self::assertSame($isTogether, self::hasPart(Planner::plan(JobReader::read($job($rows)))->sheets[0]->tree, 180.0));
        }
    }

    /** Three together are farther from both edges than this trimmer measures: they are parted one by one. */
    public function test_a_row_that_the_trimmer_does_not_measure_is_parted_one_by_one(): void
    {
        $job = ['pieces' => [
            ['id' => 'strip', 'width' => '60 mm', 'height' => '100 mm', 'count' => 3, 'turn' => false, 'rows' => ['width']], ['id' => 'other', 'width' => '40 mm', 'height' => '100 mm', 'count' => 1, 'turn' => false],
        ], 'stock' => [['id' => 's', 'width' => '320 mm', 'height' => '100 mm']], 'trimmer' => ['step' => '1 mm', 'measures' => '100 mm']];
        PlannerTest::planned($job);
        self::assertFalse(self::hasPart(Planner::plan(JobReader::read($job))->sheets[0]->tree, 180.0));
    }

    /** Cut off across once, the strip that is left over stays whole; in columns it would be three slivers. */
    public function test_a_strip_is_left_whole(): void
    {
        $plan = PlannerTest::planned(['pieces' => [['id' => 'a', 'width' => '90 mm', 'height' => '120 mm', 'count' => 3, 'turn' => false]], 'stock' => [['id' => 's', 'width' => '270 mm', 'height' => '150 mm']], 'keep' => ['width' => '20 mm', 'height' => '20 mm']]);

        self::assertSame([['paper' => '', 'width' => 270.0, 'height' => 30.0, 'count' => 1]], $plan['offcuts']);
    }

    /** Random jobs with rows that share scores: cut by another program without a complaint, with and without a trimmer that reaches so far only. */
    public function test_random_rows_are_cut_without_a_complaint(): void
    {
        mt_srand(31);
        for ($run = 0; $run < 40; $run++) {
            $pieces = array_map(fn (int $n): array => ['id' => "p$n", 'width' => mt_rand(25, 110).' mm', 'height' => mt_rand(25, 110).' mm', 'count' => mt_rand(1, 12), 'turn' => mt_rand(0, 2) > 0, 'rows' => [['width'], ['height'], ['width', 'height'], []][mt_rand(0, 3)]], range(1, mt_rand(1, 4)));
            $trimmer = ['step' => '1 mm', 'kerf' => ['0 mm', '2 mm'][mt_rand(0, 1)]] + [[], ['longest' => '260 mm'], ['measures' => '100 mm'], ['longest' => '240 mm', 'measures' => '120 mm']][mt_rand(0, 3)];
            PlannerTest::planned(['pieces' => $pieces, 'stock' => [['id' => 's', 'width' => mt_rand(200, 310).' mm', 'height' => mt_rand(200, 310).' mm', 'count' => 50]], 'trimmer' => $trimmer, 'margin' => ['0 mm', '4 mm'][mt_rand(0, 1)]], 0.1);
        }
    }

    private static function hasPart(Part $part, float $width): bool
    {
        return $part->width->toMillimetres() === $width || ($part->first !== null && self::hasPart($part->first, $width)) || ($part->second !== null && self::hasPart($part->second, $width));
    }
}
