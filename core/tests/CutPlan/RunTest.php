<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\CutPlan;

use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\Error\InvalidDocument;
use PHPUnit\Framework\TestCase;

/** A print that runs on from piece to piece: side by side out of one place, in order, middle on middle. */
final class RunTest extends TestCase
{
    private const PIECES = [['id' => 'lid', 'width' => '100 mm', 'height' => '80 mm', 'count' => 3], ['id' => 'wall', 'width' => '40 mm', 'height' => '60 mm', 'count' => 6]];

    private const STOCK = [['id' => 's', 'width' => '210 mm', 'height' => '297 mm', 'count' => 9]];

    /** The lid with a wall on either side: as one it takes more paper, and says how much. */
    public function test_what_runs_on_is_laid_side_by_side_and_the_extra_paper_is_named(): void
    {
        $job = ['pieces' => self::PIECES, 'stock' => self::STOCK, 'trimmer' => ['step' => '1 mm'], 'runs' => [['id' => 'stripes', 'pieces' => ['wall', 'lid', 'wall']]]];
        $plan = PlannerTest::planned($job);
        self::assertSame([], $plan['missing']);
        // 180 × 80 without a lid of 100 × 80 and two walls of 40 × 60: three times 1,600 mm².
        self::assertSame([['extra' => 4800, 'id' => 'stripes', 'count' => 3]], array_map(fn (array $run): array => ['extra' => (int) $run['extra']] + $run, $plan['runs'] ?? []));
    }

    /** Of pieces that are too few for another run the rest is cut alone; what is too long as one is cut piece by piece, and says so. */
    public function test_what_cannot_run_on_is_cut_piece_by_piece(): void
    {
        $job = fn (array $run, int $walls): array => ['pieces' => [self::PIECES[0], ['count' => $walls] + self::PIECES[1]], 'stock' => self::STOCK, 'runs' => [$run]];
        $few = PlannerTest::planned($job(['id' => 'r', 'pieces' => ['lid', 'wall']], 2));
        self::assertSame([2, []], [$few['runs'][0]['count'] ?? null, $few['missing']]);
        $long = PlannerTest::planned($job(['id' => 'r', 'pieces' => ['lid', 'lid', 'lid', 'wall']], 6));
        self::assertSame([0, []], [$long['runs'][0]['count'] ?? null, $long['missing']]);
        $none = PlannerTest::planned(['stock' => [['id' => 's', 'width' => '145 mm', 'height' => '85 mm', 'count' => 1]]] + $job(['id' => 'r', 'pieces' => ['lid', 'wall']], 9));
        self::assertSame([['id' => 'lid', 'count' => 2], ['id' => 'wall', 'count' => 8]], array_map(fn (array $one): array => ['id' => $one['id'], 'count' => $one['count']], $none['missing']), 'each piece once');
        $short = PlannerTest::planned(['trimmer' => ['longest' => '70 mm'], 'stock' => [['id' => 's', 'width' => '180 mm', 'height' => '60 mm', 'count' => 9]]] + $job(['id' => 'r', 'pieces' => ['wall', 'wall']], 6));
        self::assertSame(3, $short['runs'][0]['count'] ?? null);
    }

    /** Random runs either way, with a blade that takes paper away, prints that may be turned and that may not. */
    public function test_random_runs_lie_as_they_must(): void
    {
        mt_srand(77);
        $laid = 0;
        for ($run = 0; $run < 60; $run++) {
            $pieces = array_map(fn (int $n): array => ['id' => "p$n", 'width' => mt_rand(20, 90).' mm', 'height' => mt_rand(20, 90).' mm', 'count' => mt_rand(1, 6), 'turn' => $run % 3 > 0], range(1, mt_rand(2, 5)));
            $ids = array_map(fn (int $n): string => 'p'.mt_rand(1, count($pieces)), range(1, mt_rand(2, 3)));
            $plan = PlannerTest::planned(['pieces' => $pieces, 'stock' => [['id' => 's', 'width' => '210 mm', 'height' => '297 mm', 'count' => 50]], 'trimmer' => ['step' => '1 mm', 'kerf' => ['0 mm', '1 mm', '3 mm'][mt_rand(0, 2)]], 'margin' => ['0 mm', '3 mm'][mt_rand(0, 1)], 'runs' => [['id' => 'r', 'pieces' => $ids, 'along' => ['width', 'height'][mt_rand(0, 1)]]]], 0.1);
            self::assertSame([], $plan['missing']);
            $laid += $plan['runs'][0]['count'] ?? 0;
        }
        self::assertGreaterThan(60, $laid);
    }

    public function test_what_is_no_run_is_said(): void
    {
        $job = fn (array $run, string $paper = ''): array => ['pieces' => [self::PIECES[0], ['paper' => $paper] + self::PIECES[1]], 'stock' => self::STOCK, 'runs' => [$run]];
        foreach ([[$job(['id' => 'r', 'pieces' => ['lid']]), '/runs/0/pieces'], [$job(['id' => 'r', 'pieces' => ['lid', 'no']]), '/runs/0/pieces'], [$job(['id' => 'r', 'pieces' => ['lid', 'wall']], 'blue'), '/runs/0/pieces'], [$job(['id' => 'lid', 'pieces' => ['lid', 'wall']]), '/runs/0/id'], [$job(['id' => 'r', 'pieces' => ['lid', 'wall'], 'along' => 'up']), '/runs/0/along']] as [$bad, $at]) {
            try {
                JobReader::read($bad);
                self::fail('It was read.');
            } catch (InvalidDocument $error) {
                self::assertSame($at, $error->problems[0]->at);
            }
        }
    }
}
