<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\CutPlan;

use Gimbo\Core\CutPlan\Found;
use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\CutPlan\Part;
use Gimbo\Core\CutPlan\Planner;
use Gimbo\Core\Exchange\CutPlanWriter;
use PHPUnit\Framework\TestCase;

/** What was found is kept, gone on from and made better; it never becomes worse. */
final class FoundTest extends TestCase
{
    /** Kept as text and read again it is the same plan, for any kind of job. */
    public function test_what_is_kept_is_the_same_plan_when_it_is_read(): void
    {
        mt_srand(3);
        foreach ([[12, 0], [60, 1], [9, 3]] as [$pieces, $kerf]) {
            $job = JobReader::read(Constructed::job(4, [210, 297], $pieces, $kerf));
            $found = Planner::found($job, 0.2);
            $read = Found::read($job, self::kept($found));

            self::assertNotNull($read);
            self::assertEquals(CutPlanWriter::write($found->plan()), CutPlanWriter::write($read->plan()));
        }
    }

    /** After a sheet is cut, the others are cut as they were to be, and nothing is missing that was not. */
    public function test_the_rest_of_a_plan_is_a_plan_of_the_rest(): void
    {
        mt_srand(4);
        $written = Constructed::job(6, [305, 305], 70, 0);
        $found = Planner::found(JobReader::read($written));
        $plan = $found->plan();
        $first = $plan->sheets[0];
        $cut = array_map(fn (Part $leaf): ?string => $leaf->piece, $first->tree->leaves());
        /** @var list<array<string, mixed>> $pieces */
        $pieces = $written['pieces'];
        $left = array_values(array_filter($pieces, fn (array $piece): bool => ! in_array($piece['id'], $cut, true)));
        $rest = Found::read(JobReader::read(['pieces' => $left] + $written), self::kept($found->without($first)));

        self::assertNotNull($rest);
        self::assertSame([], $rest->plan()->missing);
        self::assertSame($plan->used()['s'] - 1, $rest->plan()->used()['s']);
    }

    public function test_what_does_not_lie_on_what_there_is_any_more_is_not_read(): void
    {
        $job = fn (int $count, string $width, int $sheets) => JobReader::read(['pieces' => [['id' => 'a', 'width' => '90 mm', 'height' => '60 mm', 'count' => $count], ['id' => 'b', 'width' => '50 mm', 'height' => '40 mm', 'count' => 3]], 'stock' => [['id' => 's', 'width' => $width, 'height' => '200 mm', 'count' => $sheets]]]);
        $kept = self::kept(Planner::found($job(20, '200 mm', 9)));

        self::assertNotNull(Found::read($job(20, '200 mm', 9), $kept));
        self::assertNull(Found::read($job(19, '200 mm', 9), $kept), 'more than is wanted');
        self::assertNull(Found::read($job(20, '190 mm', 9), $kept), 'a narrower sheet');
        self::assertNull(Found::read($job(20, '200 mm', 1), $kept), 'fewer sheets');
        self::assertNull(Found::read($job(20, '200 mm', 9), [['paper' => '', 'proven' => true, 'sheets' => [['s', [true, 9e9, null, 'no']]]]]), 'no layout');
        self::assertSame(20 + 3, array_sum(array_map(fn ($one) => $one->count, Found::read($job(20, '200 mm', 9), [])?->plan()->missing ?? [])));
    }

    /** Slice by slice: never more sheets, the same slice the same, and in some of these jobs fewer sheets than the quick plan. */
    public function test_a_longer_search_never_becomes_worse_and_sometimes_better(): void
    {
        $fewer = 0;
        foreach ([78, 80] as $seed) {
            mt_srand($seed);
            $pieces = array_map(fn (int $i): array => ['id' => "p$i", 'width' => mt_rand(40, 160).' mm', 'height' => mt_rand(40, 200).' mm', 'count' => mt_rand(1, 20), 'turn' => mt_rand(0, 3) > 0], range(0, 11));
            $found = $first = Planner::found(JobReader::read(['pieces' => $pieces, 'stock' => [['id' => 's', 'width' => '305 mm', 'height' => '305 mm', 'count' => 500], ['id' => 't', 'width' => '210 mm', 'height' => '297 mm', 'count' => 10]]]));
            for ($slice = 1; $slice <= 3 && ! $found->isLeast(); $slice++) {
                $next = Planner::further($found, $slice);
                $slice > 1 || self::assertEquals($next->written(), Planner::further($found, $slice)->written());
                self::assertSame([], $next->plan()->missing);
                self::assertLessThanOrEqual(array_sum($found->plan()->used()), array_sum($next->plan()->used()));
                $found = $next;
            }
            $fewer += array_sum($found->plan()->used()) < array_sum($first->plan()->used()) ? 1 : 0;
        }
        self::assertGreaterThan(0, $fewer);
    }

    private static function kept(Found $found): mixed
    {
        return json_decode(json_encode($found->written(), JSON_THROW_ON_ERROR), true, 512, JSON_THROW_ON_ERROR);
    }
}
