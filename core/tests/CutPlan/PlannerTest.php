<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\CutPlan;

use Gimbo\Core\CutPlan\Few;
use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\CutPlan\Part;
use Gimbo\Core\CutPlan\Planner;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\CutPlanWriter;
use Gimbo\Core\Tests\Reference\Program;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Plans are cut by somebody who knows nothing else (cut.py), and take no more sheets than they must.
 *
 * @phpstan-type Json array<string, mixed>
 * @phpstan-type Sheet array{stock: string, times: int, tree: array<string, mixed>}
 * @phpstan-type Plan array{sheets: list<Sheet>, missing: list<Json>, used: array<string, int>, offcuts: list<Json>, waste: float, runs?: list<array{id: string, count: int, extra: float}>}
 */
final class PlannerTest extends TestCase
{
    /** @return iterable<string, array{Json, array<string, int>}> a job, and how many sheets it takes: arithmetic */
    public static function known(): iterable
    {
        yield 'a card base once out of letter' => [self::of('5 1/2 in', '11 in', 12, self::white('8 1/2 in', '11 in')), ['ream' => 12]];
        yield 'four squares out of 21 cm' => [self::of('102 mm', '102 mm', 8, self::white('210 mm', '210 mm')), ['ream' => 2]];
        yield 'two of them out of 20 cm by 21' => [self::of('102 mm', '102 mm', 8, self::white('200 mm', '210 mm')), ['ream' => 4]];
        yield 'a pouch of 6 in four times out of 12' => [self::of('6 in', '6 in', 8, self::white('12 in', '12 in')), ['ream' => 2]];
        yield 'of 6 1/16 once' => [self::of('6 1/16 in', '6 1/16 in', 8, self::white('12 in', '12 in')), ['ream' => 8]];
        yield 'a lid of 148 twice out of A4' => [self::of('148 mm', '148 mm', 2, self::white('210 mm', '297 mm')), ['ream' => 1]];
        yield 'of 150 once' => [self::of('150 mm', '150 mm', 2, self::white('210 mm', '297 mm')), ['ream' => 2]];
        yield 'two strips out of letter' => [self::of('7 in', '4 1/4 in', 2, self::white('8 1/2 in', '11 in')), ['ream' => 1]];
        yield 'two cards out of 12 × 12' => [self::of('12 in', '6 in', 2, self::white('12 in', '12 in')), ['ream' => 1]];
        yield 'a print with a top is not turned' => [['pieces' => [['id' => 'a', 'width' => '80 mm', 'height' => '190 mm', 'count' => 1, 'turn' => false]], 'stock' => [['id' => 'ream', 'width' => '200 mm', 'height' => '100 mm', 'count' => 1]]], ['ream' => 0]];
        yield 'a blade that takes 3 mm' => [self::of('100 mm', '100 mm', 4, self::white('202 mm', '203 mm'), ['trimmer' => ['step' => '1 mm', 'kerf' => '3 mm']]), ['ream' => 4 - 2]];
        yield 'rough edges' => [self::of('100 mm', '100 mm', 2, self::white('210 mm', '110 mm'), ['margin' => '5 mm', 'trimmer' => ['step' => '1 mm', 'kerf' => '0 mm']]), ['ream' => 1]];
        yield 'rough edges a millimetre wider' => [self::of('100 mm', '100 mm', 2, self::white('210 mm', '112 mm'), ['margin' => '6 mm', 'trimmer' => ['step' => '1 mm', 'kerf' => '0 mm']]), ['ream' => 2]];
        yield 'offcuts first' => [['pieces' => [['id' => 'band', 'width' => '2 in', 'height' => '9 3/8 in', 'count' => 1, 'paper' => 'white']], 'stock' => [self::white('8 1/2 in', '11 in'), ['id' => 'left', 'paper' => 'white', 'width' => '3 in', 'height' => '11 in', 'count' => 1, 'offcut' => true]]], ['ream' => 0, 'left' => 1]];
        yield 'the only stock it may come out of' => [['pieces' => [['id' => 'a', 'width' => '10 mm', 'height' => '60 mm', 'count' => 1, 'stock' => ['two']]], 'stock' => [['id' => 'one', 'width' => '60 mm', 'height' => '60 mm', 'count' => 1], ['id' => 'two', 'width' => '90 mm', 'height' => '90 mm', 'count' => 1]]], ['one' => 0, 'two' => 1]];
        yield 'the smallest sheet that gives all that is left' => [['pieces' => [['id' => 'a', 'width' => '50 mm', 'height' => '50 mm', 'count' => 1]], 'stock' => [['id' => 'large', 'width' => '300 mm', 'height' => '300 mm', 'count' => 9], ['id' => 'pad', 'width' => '60 mm', 'height' => '60 mm', 'count' => 9]]], ['large' => 0, 'pad' => 1]];
        yield 'a longer sheet with rough edges' => [self::of('11 in', '8 in', 2, self::white('12 in', '18 in'), ['margin' => '1/4 in', 'trimmer' => ['step' => '1/16 in', 'kerf' => '0 mm', 'longest' => '12 in']]), ['ream' => 1]];
        yield 'one that is longer the other way' => [self::of('8 in', '11 in', 2, self::white('18 in', '12 in'), ['margin' => '1/4 in', 'trimmer' => ['step' => '1/16 in', 'kerf' => '1 mm', 'longest' => '12 in']]), ['ream' => 1]];
        yield 'one that cannot be cut along at all' => [self::of('8 in', '11 in', 1, self::white('18 in', '14 in'), ['margin' => '1/4 in', 'trimmer' => ['step' => '1/16 in', 'kerf' => '0 mm', 'longest' => '12 in']]), ['ream' => 0]];
        yield 'a sheet longer than the trimmer cuts' => [self::of('12 in', '9 in', 2, self::white('12 in', '18 in'), ['trimmer' => ['step' => '1/16 in', 'kerf' => '0 mm', 'longest' => '12 in']]), ['ream' => 1]];
    }

    /**
     * @param Json $job
     * @param array<string, int> $used
     */
    #[DataProvider('known')]
    public function test_known_yields(array $job, array $used): void
    {
        $plan = self::planned($job);

        self::assertSame($used, $plan['used']);
    }

    /** A random job of every kind is cut without a complaint, and cut the same way again. */
    public function test_random_plans_are_cut_without_a_complaint(): void
    {
        mt_srand(15);
        $cuts = 0;
        for ($run = 0; $run < 60; $run++) {
            $job = self::random();
            $plan = self::planned($job, 0.2);
            self::assertSame($plan, self::planned($job, 0.2));
            $cuts += substr_count(json_encode($plan, JSON_THROW_ON_ERROR), '"cut"');
        }
        self::assertGreaterThan(700, $cuts);
    }

    /** K sheets cut at random into pieces and shuffled: a few never take more, a hundred at most one more. */
    public function test_what_was_cut_from_so_many_sheets_comes_out_of_so_many(): void
    {
        mt_srand(9);
        foreach ([[12, 40, 0], [8, 30, 3], [100, 3, 0], [100, 2, 1]] as [$pieces, $runs, $kerf]) {
            for ($run = 0; $run < $runs; $run++) {
                $sheets = $pieces <= Few::MOST ? mt_rand(1, 4) : mt_rand(5, 30);
                $job = Constructed::job($sheets, [[210, 297], [305, 305], [136, 176]][$run % 3], $pieces, $kerf);
                $used = self::planned($job)['used']['s'];
                self::assertLessThanOrEqual($sheets + ($pieces > 12 ? 1 : 0), $used, json_encode($job, JSON_THROW_ON_ERROR));
            }
        }
    }

    /** As many pieces as are planned at once, on more sheets than their area has room for in square ticks. */
    public function test_thousands_of_pieces_are_planned(): void
    {
        mt_srand(2);
        $pieces = array_map(fn (int $n): array => ['id' => "p$n", 'width' => mt_rand(100, 200).' mm', 'height' => mt_rand(100, 200).' mm', 'count' => 500], range(1, 10));
        $plan = Planner::plan(JobReader::read(['pieces' => $pieces, 'stock' => [['id' => 's', 'width' => '305 mm', 'height' => '305 mm', 'count' => 5000]]]), 0.1);

        self::assertSame([], $plan->missing);
        self::assertGreaterThan(800, $plan->used()['s']);
    }

    /** What is worth keeping stays in one piece: a strip along the whole of a sheet is not cut through. */
    public function test_whole_strips_are_left(): void
    {
        $plan = self::planned(['pieces' => [['id' => 'a', 'width' => '5 1/2 in', 'height' => '8 1/2 in', 'count' => 1]], 'stock' => [['id' => 's', 'width' => '8 1/2 in', 'height' => '11 in', 'count' => 1]]]);
        self::assertSame([['paper' => '', 'width' => 215.9, 'height' => 139.7, 'count' => 1]], $plan['offcuts']);
        self::assertSame(0.0, $plan['waste']);
    }

    /** Readings that are set anew, and turns of the paper, are no more than a sheet in rows asks for. */
    public function test_the_same_reading_is_cut_one_after_another(): void
    {
        $plan = Planner::plan(JobReader::read(['pieces' => [['id' => 'a', 'width' => '3 in', 'height' => '2 in', 'count' => 12]], 'stock' => [['id' => 's', 'width' => '9 1/2 in', 'height' => '8 1/4 in', 'count' => 1]]]));
        $cuts = array_map(fn (Part $part): string => ($part->isUpright ? 'upright ' : 'level ').$part->at?->toMillimetres(), $plan->sheets[0]->tree->cuts());
        $changes = count(array_filter(array_keys($cuts), fn (int $i) => $i > 0 && $cuts[$i] !== $cuts[$i - 1]));
        self::assertLessThanOrEqual(3, $changes, implode(', ', $cuts));
    }

    /** @return iterable<string, array{Json, string}> */
    public static function bad(): iterable
    {
        $piece = ['id' => 'a', 'width' => '10 mm', 'height' => '20 mm'];
        yield 'no length' => [['pieces' => [['id' => 'a', 'width' => 'wide', 'height' => '20 mm']]], '/pieces/0/width'];
        yield 'ten thousand pieces' => [['pieces' => [['count' => 10_000] + $piece]], '/pieces'];
        yield 'twice the same id' => [['pieces' => [$piece, $piece]], '/pieces/1/id'];
        yield 'an offcut of nothing' => [['pieces' => [$piece], 'stock' => [['id' => 's', 'width' => '0 mm', 'height' => '20 mm', 'offcut' => true]]], '/stock/0/width'];
        yield 'a blade as thick as a piece' => [['pieces' => [$piece], 'trimmer' => ['kerf' => '10 mm']], '/trimmer/kerf'];
        yield 'stock that is not there' => [['pieces' => [['stock' => ['x']] + $piece]], '/pieces/0/stock'];
        yield 'no yes or no' => [['pieces' => [['turn' => 'no'] + $piece]], '/pieces/0/turn'];
        yield 'less than none' => [['pieces' => [['count' => -1] + $piece]], '/pieces/0/count'];
        yield 'no list' => [['pieces' => 'all'], '/pieces'];
        yield 'unknown' => [['pieces' => [$piece], 'fold' => 1], '/fold'];
    }

    /** @param Json $job */
    #[DataProvider('bad')]
    public function test_bad_jobs_are_said_where_they_stand(array $job, string $at): void
    {
        try {
            JobReader::read($job);
            self::fail('It was read.');
        } catch (InvalidDocument $error) {
            self::assertSame($at, $error->problems[0]->at);
        }
    }

    public function test_what_comes_out_of_nothing_is_missing_and_says_why(): void
    {
        $job = ['pieces' => [
            ['id' => 'huge', 'width' => '900 mm', 'height' => '10 mm', 'count' => 2], ['id' => 'blue', 'width' => '20 mm', 'height' => '20 mm', 'count' => 3, 'paper' => 'blue'], ['id' => 'many', 'width' => '90 mm', 'height' => '90 mm', 'count' => 5],
        ], 'stock' => [['id' => 's', 'width' => '200 mm', 'height' => '100 mm', 'count' => 1]]];

        self::assertSame([
            ['id' => 'huge', 'count' => 2, 'why' => 'too-large'], ['id' => 'many', 'count' => 3, 'why' => 'no-stock'], ['id' => 'blue', 'count' => 3, 'why' => 'no-stock'],
        ], self::sortedById(self::planned($job)['missing'], ['huge', 'many', 'blue']));
        self::assertSame([], self::planned(['pieces' => [], 'stock' => []])['sheets']);
    }

    /**
     * @param list<Json> $missing
     * @param list<string> $order
     * @return list<Json>
     */
    private static function sortedById(array $missing, array $order): array
    {
        usort($missing, fn (array $a, array $b) => array_search($a['id'], $order, true) <=> array_search($b['id'], $order, true));

        return $missing;
    }

    /** @return Json */
    private static function white(string $width, string $height): array
    {
        return ['id' => 'ream', 'paper' => 'white', 'width' => $width, 'height' => $height, 'count' => 50];
    }

    /**
     * @param Json $stock
     * @param Json $more
     * @return Json
     */
    private static function of(string $width, string $height, int $count, array $stock, array $more = []): array
    {
        return ['pieces' => [['id' => 'base', 'width' => $width, 'height' => $height, 'count' => $count, 'paper' => 'white']], 'stock' => [$stock]] + $more;
    }

    /**
     * The plan as it is written, cut by another program.
     *
     * @param Json $job
     * @return Plan
     */
    public static function planned(array $job, float $effort = 1.0): array
    {
        $written = json_encode(CutPlanWriter::write(Planner::plan(JobReader::read($job), $effort)), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        $complaints = Program::answer(['/usr/bin/python3', __DIR__.'/cut.py'], '[['.json_encode($job, JSON_THROW_ON_ERROR).",$written]]");
        self::assertSame('[[]]', trim($complaints), json_encode($job, JSON_THROW_ON_ERROR));

        /** @var Plan */
        return json_decode($written, true, 512, JSON_THROW_ON_ERROR);
    }

    /** @return Json */
    private static function random(): array
    {
        $isInches = mt_rand(0, 1) === 0;
        $length = fn (int $least, int $most): string => $isInches ? self::sixteenths(mt_rand($least, $most)) : mt_rand($least, $most).' mm';
        $papers = ['white', 'print'];
        $pieces = [];
        for ($n = mt_rand(1, 14); $n > 0; $n--) {
            $pieces[] = ['id' => "p$n", 'width' => $length(16, 120), 'height' => $length(16, 160), 'count' => mt_rand(1, 6), 'paper' => $papers[mt_rand(0, 1)], 'turn' => mt_rand(0, 3) > 0];
        }
        $stock = [];
        for ($n = mt_rand(1, 6); $n > 0; $n--) {
            $isOffcut = mt_rand(0, 2) === 0;
            $stock[] = ['id' => "s$n", 'paper' => $papers[mt_rand(0, 1)], 'width' => $length(100, 300), 'height' => $length(100, 300), 'count' => $isOffcut ? 1 : mt_rand(0, 20), 'offcut' => $isOffcut];
        }
        $trimmer = ['step' => $isInches ? '1/16 in' : '1 mm', 'kerf' => ['0 mm', '1 mm', '3 mm'][mt_rand(0, 2)]] + (mt_rand(0, 3) === 0 ? ['longest' => $isInches ? '12 in' : '250 mm'] : []);

        return ['pieces' => $pieces, 'stock' => $stock, 'trimmer' => $trimmer, 'margin' => [$isInches ? '1/8 in' : '4 mm', '0 mm'][mt_rand(0, 1)], 'keep' => ['width' => '25 mm', 'height' => '50 mm']];
    }

    private static function sixteenths(int $n): string
    {
        return $n % 16 === 0 ? intdiv($n, 16).' in' : (intdiv($n, 16) > 0 ? intdiv($n, 16).' ' : '').($n % 16).'/16 in';
    }
}
