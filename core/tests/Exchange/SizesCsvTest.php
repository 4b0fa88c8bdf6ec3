<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Exchange;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\SizesCsv;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SizesCsvTest extends TestCase
{
    private const AWKWARD = ['Ferry, return', 'The "long" one', '=1+1', "'=1+1", '-7', '@home', '+1 more', 'Seeschwalbe, groß; 2. Wahl', "O'Tern", ' spaced out'];

    public function test_awkward_names_come_back_as_they_went_out(): void
    {
        $entries = self::entries();
        $rows = SizesCsv::read(SizesCsv::write($entries));
        self::assertSame(range(2, count(self::AWKWARD) + 1), array_column($rows, 'line'));
        self::assertSame(array_fill(0, count(self::AWKWARD), null), array_column($rows, 'problem'));
        foreach ($rows as $i => $row) {
            self::assertNotNull($row['entry']);
            self::assertSame(['name' => trim(self::AWKWARD[$i]), 'kind' => 'card', 'width' => '4 1/4 in', 'height' => '108 mm'], array_diff_key($row['entry'], ['system' => 1]));
        }
    }

    /** What goes out, as Python's csv module reads it in its strict mode. */
    public function test_a_strict_reader_reads_what_goes_out(): void
    {
        $process = proc_open(['/usr/bin/python3', dirname(__DIR__).'/Reference/csv_rows.py'], [['pipe', 'r'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], SizesCsv::write(self::entries()));
        fclose($pipes[0]);
        $rows = json_decode((string) stream_get_contents($pipes[1]), true);
        self::assertSame(0, proc_close($process));
        self::assertIsArray($rows);
        self::assertSame(['name', 'kind', 'width', 'height'], $rows[0]);
        $asText = ['=1+1' => "'=1+1", "'=1+1" => "''=1+1", '-7' => "'-7", '@home' => "'@home", '+1 more' => "'+1 more"];
        self::assertSame(array_map(fn (string $name) => $asText[$name] ?? $name, self::AWKWARD), array_column(array_slice($rows, 1), 0));
    }

    public function test_says_line_by_line_what_is_wrong_and_reads_the_rest(): void
    {
        $rows = SizesCsv::read("name;kind;width;height\r\nGood one;card;4 in;6 in\r\n\r\nNo unit;card;4;6 in\r\n;card;4 in;6 in\r\nToo many;card;4 in;6 in;more\r\nOdd kind;poster;4 in;6 in\r\nNonsense;card;4 terns;6 in\r\ngood ONE;card;1 in;1 in\r\nTaken;card;1 in;1 in\r\nLast;envelope;10 cm;15 cm", ['taken']);
        $said = array_map(fn (array $row) => $row['problem'] === null ? null : $row['problem']->at.' '.$row['problem']->reason->code, $rows);
        self::assertSame([
            2 => null, 4 => '/width length.unit-missing', 5 => '/name name.invalid', 6 => ' csv.cells', 7 => '/kind choice.unknown',
            8 => '/width length.unit-unknown', 9 => '/name csv.twice', 10 => '/name csv.twice', 11 => null,
        ], array_combine(array_column($rows, 'line'), $said));
        self::assertSame('metric', $rows[8]['entry']['system'] ?? null);
    }

    public function test_counts_lines_inside_quotation_marks(): void
    {
        $rows = SizesCsv::read("name,kind,width,height\n\"Two\nlines\",card,4 in,6 in\nNext,card,4,6 in\n");
        self::assertSame([2, 4], array_column($rows, 'line'));
        self::assertSame('Two lines', $rows[0]['entry']['name'] ?? null);
    }

    /** @return iterable<string, array{string}> */
    public static function strangers(): iterable
    {
        yield 'nothing' => [''];
        yield 'a picture' => ["\x89PNG\r\n\x1a\n\x00\x00"];
        yield 'another table' => ["a,b,c\n1,2,3\n"];
        yield 'an unclosed quotation mark' => ['"name,kind,width,height'];
        yield 'too long' => ["name,kind,width,height\n".str_repeat("x,card,1 in,1 in\n", 2001)];
    }

    #[DataProvider('strangers')]
    public function test_refuses_what_is_no_such_table(string $text): void
    {
        $this->expectException(InvalidDocument::class);
        SizesCsv::read($text);
    }

    /** @return list<array<string, mixed>> */
    private static function entries(): array
    {
        return array_map(fn (string $name) => ['name' => $name, 'kind' => 'card', 'width' => '4 1/4 in', 'height' => '108 mm'], self::AWKWARD);
    }
}
