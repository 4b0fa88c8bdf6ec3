<?php

declare(strict_types=1);

namespace Tests\Console;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The command as scripts call it: a process of its own. */
final class SizeCommandTest extends TestCase
{
    private const SPEC = '{"make":"diagonal-envelope","holds":{"width":"5 1/2 in","height":"4 1/4 in","thickness":"1 mm","count":1},"clearance":{"width":"1/4 in","height":"1/8 in"},"paper":{"caliper":"0.12 mm","sheet":{"width":"12 in","height":"12 in"}},"options":{"method":"punch-board"}}';

    public function test_sizes_one_design(): void
    {
        [$status, $out, $err] = self::gimbo(['size', '-'], self::SPEC);
        self::assertSame([0, ''], [$status, $err]);
        $result = json_decode($out, true, 64, JSON_THROW_ON_ERROR);
        self::assertIsArray($result);
        self::assertSame(207.9625, $result['pieces'][0]['sheet']['width'], '8 3/16 in');
        self::assertSame(92.075, $result['pieces'][0]['measures'][2]['at'], '3 5/8 in');
        self::assertSame(['make', 'pieces', 'inside', 'closed', 'checks', 'steps'], array_values(array_intersect(array_keys($result), ['make', 'pieces', 'inside', 'closed', 'checks', 'steps'])));
    }

    public function test_reads_a_file(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'gimbo');
        file_put_contents($file, self::SPEC);
        self::assertSame(0, self::gimbo(['size', $file])[0]);
        unlink($file);
        [$status, $out, $err] = self::gimbo(['size', $file]);
        self::assertSame([2, ''], [$status, $out]);
        self::assertStringContainsString('cannot be read', $err);
    }

    public function test_a_design_that_cannot_be_made_is_no_bad_input(): void
    {
        [$status, $out] = self::gimbo(['size', '-'], str_replace('"12 in"', '"6 in"', self::SPEC));
        self::assertSame(0, $status);
        self::assertStringContainsString('"ok": false', $out);
    }

    /** @return iterable<string, array{string, non-empty-string}> spec, how the one line of the error begins */
    public static function badInput(): iterable
    {
        yield 'no JSON' => ['{oops', 'This is not JSON'];
        yield 'nothing' => ['', 'This is not JSON'];
        yield 'a bare number' => [str_replace('"5 1/2 in"', '5.5', self::SPEC), '/holds/width: '];
        yield 'an unknown make' => ['{"make":"kite"}', '/make: “kite” is not something that can be made here. Known are: diagonal-envelope'];
        yield 'an unknown option' => [str_replace('"method"', '"way"', self::SPEC), '/options/way: '];
        yield 'a hostile name' => ['{"make":"a\\nb\\u001b[31m"}', '/make: “a b [31m”'];
    }

    /** @param non-empty-string $begins */
    #[DataProvider('badInput')]
    public function test_bad_input_is_one_line_on_standard_error(string $spec, string $begins): void
    {
        [$status, $out, $err] = self::gimbo(['size', '-'], $spec);
        self::assertSame([2, ''], [$status, $out]);
        self::assertStringStartsWith($begins, $err);
        self::assertSame(1, substr_count($err, "\n"));
    }

    public function test_each_answers_line_by_line_and_goes_on_after_a_bad_one(): void
    {
        [$status, $out] = self::gimbo(['size', '--each', '-'], self::SPEC."\n{\"make\":\"kite\"}\n\n".self::SPEC."\n");
        $lines = array_map(fn (string $line) => json_decode($line, true, 64, JSON_THROW_ON_ERROR), explode("\n", trim($out)));
        self::assertSame(0, $status);
        self::assertCount(3, $lines);
        self::assertSame('/make', $lines[1]['error']['at']);
        self::assertSame($lines[0], $lines[2]);
    }

    public function test_figures_leave_out_the_fold_and_the_steps_and_nothing_else_differs(): void
    {
        [, $whole] = self::gimbo(['size', '--each', '-'], self::SPEC."\n");
        [$status, $out] = self::gimbo(['size', '--each', '--figures', '-'], self::SPEC."\n");
        self::assertSame(0, $status);
        [$whole, $figures] = [json_decode($whole, true, 64, JSON_THROW_ON_ERROR), json_decode($out, true, 64, JSON_THROW_ON_ERROR)];
        self::assertEqualsCanonicalizing(['steps', 'byTool', 'joins', 'loose'], array_keys(array_diff_key($whole, $figures)));
        self::assertEqualsCanonicalizing(['fold', 'folded', 'glue', 'contents', 'outline', 'closure'], array_keys(array_diff_key($whole['pieces'][0], $figures['pieces'][0])));
        self::assertSame($whole['checks'], $figures['checks']);
        self::assertSame($whole['inside'], $figures['inside']);
        self::assertSame(array_column($whole['pieces'][0]['measures'], 'at'), array_column($figures['pieces'][0]['measures'], 'at'));
    }

    /** Ribbon, floss and dots stand at the end of the pieces: with no sheet, but with a length or a size. */
    public function test_what_is_not_paper_is_listed_with_the_pieces(): void
    {
        $spec = (array) json_decode(self::SPEC, true);
        $spec['with'] = [['id' => 'r', 'role' => 'ribbon', 'bow' => '18 in'], ['id' => 'c', 'role' => 'closure', 'by' => 'string']];
        [$status, $out] = self::gimbo(['size', '-'], json_encode($spec, JSON_THROW_ON_ERROR));
        self::assertSame(0, $status);
        $pieces = array_column(json_decode($out, true, 64, JSON_THROW_ON_ERROR)['pieces'], null, 'id');
        self::assertSame(['envelope', 'c-disc', 'r', 'c-string'], array_keys($pieces));
        self::assertSame(2, $pieces['c-disc']['count']);
        self::assertEqualsWithDelta(457.2, $pieces['c-string']['length'], 1e-6);
        self::assertGreaterThan(457.2 + 2 * 107, $pieces['r']['length']);
        self::assertArrayNotHasKey('sheet', $pieces['r']);
    }

    public function test_workers_keep_the_order_whatever_their_number(): void
    {
        $specs = '';
        for ($i = 0; $i < 150; $i++) {
            $specs .= $i % 50 === 49 ? "{\"make\":\"kite\"}\n\n" : str_replace('"1 mm"', '"'.($i + 1).' mm"', self::SPEC)."\n";
        }
        [, $one] = self::gimbo(['size', '--each', '--figures', '-'], $specs);
        foreach (['1', '3'] as $workers) {
            [$status, $out, $err] = self::gimbo(['size', '--each', '--figures', '--workers', $workers, '-'], $specs);
            self::assertSame([0, ''], [$status, $err]);
            self::assertSame($one, $out);
        }
        self::assertSame(150, substr_count($one, "\n"));
    }

    public function test_says_how_it_is_used(): void
    {
        foreach ([[], ['size'], ['fold', 'x'], ['size', 'a', 'b'], ['size', '--each'], ['size', '--each', '--workers', 'many', '-'], ['size', '--workers', '2', '-']] as $arguments) {
            [$status, $out, $err] = self::gimbo($arguments);
            self::assertSame([2, ''], [$status, $out]);
            self::assertStringStartsWith('Usage: bin/gimbo size', $err);
        }
    }

    /**
     * @param list<string> $arguments
     * @return array{int, string, string} status, standard output, standard error
     */
    private static function gimbo(array $arguments, string $input = ''): array
    {
        $process = proc_open([PHP_BINARY, dirname(__DIR__, 2).'/bin/gimbo', ...$arguments], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $out = (string) stream_get_contents($pipes[1]);
        $err = (string) stream_get_contents($pipes[2]);

        return [proc_close($process), $out, $err];
    }
}
