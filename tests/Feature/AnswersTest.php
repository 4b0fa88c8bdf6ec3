<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Screen\SizedView;
use Gimbo\Core\CutPlan\JobReader;
use Gimbo\Core\CutPlan\Planner;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\CutPlanWriter;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\CutPlan\Constructed;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\Promised;
use Tests\TestCase;

/**
 * Random requests and their answers against the contract: bare, dressed and broken, in both systems, with fits that fail. How many of each
 * make says GIMBO_ANSWERS (`make answers`). Besides opis/json-schema, python3-jsonschema reads the contract once.
 */
final class AnswersTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    public function test_what_is_made_of_the_program_is_as_the_program_is(): void
    {
        /** @var array{openapi: array<string, mixed>, spec: array<string, mixed>} $contract */
        $contract = require base_path('api/contract.php');
        $kept = fn (string $file): mixed => json_decode((string) file_get_contents(base_path($file)), true, 64, JSON_THROW_ON_ERROR);
        self::assertEquals($contract['openapi'], $kept('api/openapi.json'), 'make contract');
        self::assertEquals($contract['spec'], $kept('docs/spec.schema.json'), 'make contract');
    }

    #[DataProvider('makes')]
    public function test_random_requests_and_answers_keep_the_contract(string $make): void
    {
        $sizing = Sizing::ofEverything();
        $view = app(SizedView::class);
        $sized = $failing = 0;
        foreach (self::specs($make, (int) (getenv('GIMBO_ANSWERS') ?: 8)) as $spec) {
            try {
                $design = $sizing->size($spec);
            } catch (InvalidDocument) {
                continue;
            }
            $sized++;
            $failing += count(array_filter($design->fits, fn ($fit) => ! $fit->isOk())) > 0 ? 1 : 0;
            self::assertNull(Promised::notA('Spec', self::text($design->request->spec)), self::text($spec));
            self::assertNull(Promised::notA('SizeAnswer', self::text(DesignWriter::write($design))), self::text($spec));
            self::assertNull(Promised::notA('WholeDesign', self::text($view->whole($design))), self::text($spec));
        }
        self::assertGreaterThan(0, $sized);
        self::assertGreaterThan(0, $failing);
    }

    public function test_cutting_plans_keep_the_contract(): void
    {
        mt_srand(5);
        for ($run = 0; $run < 20; $run++) {
            $job = Constructed::job(mt_rand(1, 3), [210, 297], mt_rand(4, 20), mt_rand(0, 2));
            $job['stock'][0]['count'] = mt_rand(0, 2);
            $run % 2 === 0 && $job['pieces'][] = ['id' => 'slip', 'width' => '20 mm', 'height' => '400 mm', 'count' => 2];
            self::assertNull(Promised::notA('CutPlanAnswer', self::text(CutPlanWriter::write(Planner::plan(JobReader::read($job), 0.01)))));
        }
    }

    public function test_a_reader_in_another_language_finds_the_same(): void
    {
        $lines = '';
        foreach (Makes::all()->ids() as $make) {
            foreach (self::specs($make, 3) as $spec) {
                try {
                    $design = Sizing::ofEverything()->size($spec);
                } catch (InvalidDocument) {
                    continue;
                }
                $lines .= self::text(['is' => 'SizeAnswer', 'document' => DesignWriter::write($design)])."\n".self::text(['is' => 'Spec', 'document' => $design->request->spec])."\n";
            }
        }
        // What is none must be found, or nothing was looked at.
        $lines .= self::text(['is' => 'Spec', 'document' => ['make' => 'folded-card', 'holds' => ['width' => 5]]])."\n";
        $python = new Process(['/usr/bin/python3', base_path('tests/promised.py'), base_path('api/openapi.json')], input: $lines, timeout: 120);
        $python->mustRun();
        $said = explode("\n", trim($python->getOutput()));
        self::assertCount(substr_count($lines, "\n"), $said);
        self::assertNotSame('valid', array_pop($said));
        self::assertSame(['valid'], array_values(array_unique($said)));
    }

    /** @return list<array<string, mixed>> */
    private static function specs(string $make, int $count): array
    {
        mt_srand(crc32($make));
        $specs = [];
        for ($run = 0; $run < $count; $run++) {
            $spec = ['system' => ['imperial', 'metric'][$run % 2]] + Specs::random($make);
            $specs[] = match ($run % 4) {
                1, 2 => Specs::dressed($spec),
                3 => Specs::broken(Specs::dressed($spec)),
                // Something too large for its paper.
                default => ['paper' => ['caliper' => '0.3 mm', 'sheet' => ['width' => '4 in', 'height' => '4 in']]] + $spec,
            };
        }

        return $specs;
    }

    private static function text(mixed $document): string
    {
        return json_encode($document, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }
}
