<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\CutPlan;

use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\CutPlan\Planner;
use Gimbo\Core\Error\InvalidDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rolls: sections are cut off across their whole width, and what is not used stays on the roll. */
final class RollTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, float}> a job, and the least that must be cut off the roll, mm: arithmetic */
    public static function known(): iterable
    {
        $roll = fn (string $width, string $length): array => ['stock' => [['id' => 'r', 'width' => $width, 'height' => $length, 'count' => 1]]];
        yield 'three beside one another' => [['pieces' => [['id' => 'a', 'width' => '100 mm', 'height' => '200 mm', 'count' => 9, 'turn' => false]]] + $roll('310 mm', '10 m'), 600.0];
        yield 'turned they leave less' => [['pieces' => [['id' => 'a', 'width' => '100 mm', 'height' => '200 mm', 'count' => 4]]] + $roll('200 mm', '10 m'), 400.0];
        yield 'two sizes fill the width together' => [['pieces' => [['id' => 'a', 'width' => '200 mm', 'height' => '150 mm', 'count' => 5, 'turn' => false], ['id' => 'b', 'width' => '100 mm', 'height' => '150 mm', 'count' => 5, 'turn' => false]]] + $roll('300 mm', '5 m'), 750.0];
        yield 'no longer than it must be' => [['pieces' => [['id' => 'a', 'width' => '250 mm', 'height' => '2 m', 'count' => 2, 'turn' => false]]] + $roll('500 mm', '3 yd'), 2000.0];
    }

    /** @param array<string, mixed> $job */
    #[DataProvider('known')]
    public function test_no_more_is_cut_off_than_must_be(array $job, float $mm): void
    {
        $plan = PlannerTest::planned($job + ['trimmer' => ['step' => '1 mm', 'kerf' => '0 mm']]);
        self::assertSame([], $plan['missing']);
        self::assertSame(1, $plan['used']['r']);
        $sheet = Planner::plan(JobReader::read($job))->sheets[0];
        self::assertSame($mm, $sheet->tree->height->minus($sheet->rest()->height ?? $sheet->tree->height)->toMillimetres());
    }

    /** Random jobs on rolls, some with sheets beside them: cut by another program without a complaint; of the width only what the trimmer cuts. */
    public function test_random_rolls_are_cut_without_a_complaint(): void
    {
        mt_srand(25);
        for ($run = 0; $run < 25; $run++) {
            $pieces = array_map(fn (int $n): array => ['id' => "p$n", 'width' => mt_rand(30, 200).' mm', 'height' => mt_rand(30, 200).' mm', 'count' => mt_rand(1, 9), 'turn' => mt_rand(0, 2) > 0], range(1, mt_rand(1, 7)));
            $stock = [['id' => 'r', 'width' => mt_rand(220, 400).' mm', 'height' => mt_rand(2001, 9000).' mm', 'count' => mt_rand(1, 2)], ['id' => 's', 'width' => '210 mm', 'height' => '297 mm', 'count' => mt_rand(0, 3)]];
            $plan = PlannerTest::planned(['pieces' => $pieces, 'stock' => $stock, 'margin' => ['0 mm', '3 mm'][mt_rand(0, 1)], 'trimmer' => ['step' => '1 mm', 'kerf' => ['0 mm', '1 mm'][mt_rand(0, 1)]] + (mt_rand(0, 1) === 1 ? ['longest' => '410 mm', 'measures' => '420 mm'] : [])]);
            self::assertSame([], array_filter($plan['missing'], fn (array $one) => $one['why'] === 'too-large'));
        }
    }

    public function test_what_is_no_roll_is_said(): void
    {
        $job = fn (array $stock): array => ['pieces' => [['id' => 'a', 'width' => '100 mm', 'height' => '200 mm']], 'stock' => [['id' => 'r'] + $stock]];
        foreach ([[['width' => '3 m', 'height' => '4 m'], '/stock/0/width'], [['width' => '1 m', 'height' => '26 m'], '/stock/0/height'], [['width' => '1 m', 'height' => '5 m', 'roll' => 'yes'], '/stock/0/roll']] as [$stock, $at]) {
            try {
                JobReader::read($job($stock));
                self::fail('It was read.');
            } catch (InvalidDocument $error) {
                self::assertSame($at, $error->problems[0]->at);
            }
        }
        // A trimmer shorter than the roll is wide cuts nothing off it.
        self::assertSame([1], array_column(PlannerTest::planned($job(['width' => '600 mm', 'height' => '5 m']) + ['trimmer' => ['longest' => '500 mm']])['missing'], 'count'));
    }
}
