<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\DxfFile;
use Gimbo\Core\Exchange\Layer;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Our DXF as ezdxf (Debian package python3-ezdxf) reads, audits and measures it. */
final class DxfTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_an_independent_reader_finds_no_fault_and_the_same_lengths(string $make): void
    {
        foreach (Sizing::ofEverything()->size(['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '6 mm']])->pieces as $piece) {
            $read = self::read(DxfFile::write($piece));
            self::assertSame(['R12', 4, [], []], [$read['version'], $read['units'], $read['errors'], $read['fixes']]);
            self::assertContains('cut-outline', $read['layers']);
            self::assertSame('DASHDOT', $read['linetypes']['score-mountain']);
            foreach (Layer::cases() as $layer) {
                $theirs = array_sum(array_map(self::lengthOf(...), array_filter($read['lines'], fn (array $line) => $line['layer'] === $layer->value)));
                self::assertEqualsWithDelta(self::edgesOf($piece, $layer), $theirs, 0.01, "$piece->id, $layer->value");
            }
            $points = array_merge(...array_column($read['lines'], 'points'));
            self::assertGreaterThanOrEqual(-0.001, min([0.0, ...array_column($points, 0)]));
            self::assertLessThanOrEqual($piece->sheet->width->toMillimetres() + 0.001, max([0.0, ...array_column($points, 0)]));
        }
    }

    /** Nothing is cut before everything is scored, and the outline is the last of all. */
    #[DataProvider('makes')]
    public function test_scores_come_before_cuts_and_the_outline_last(string $make): void
    {
        foreach (Sizing::ofEverything()->size(['make' => $make, 'holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '12 mm'], 'system' => 'metric'])->pieces as $piece) {
            $order = array_map(fn (array $line) => array_search($line['layer'], array_column(Layer::cases(), 'value'), true), self::read(DxfFile::write($piece))['lines']);
            $sorted = $order;
            sort($sorted);
            self::assertSame($sorted, $order);
            self::assertSame(3, end($order));
        }
    }

    private static function edgesOf(Piece $piece, Layer $layer): float
    {
        $length = 0.0;
        foreach ($piece->pattern()->edges as $edge) {
            if (Layer::of($edge->assignment) === $layer) {
                $length += $piece->pattern()->vertices[$edge->to]->minus($piece->pattern()->vertices[$edge->from])->length();
            }
        }

        return $length;
    }

    /** @param array{isClosed: bool, points: list<array{float, float}>} $line */
    private static function lengthOf(array $line): float
    {
        $points = $line['isClosed'] ? [...$line['points'], $line['points'][0]] : $line['points'];
        $length = 0.0;
        foreach (array_slice($points, 1) as $i => [$x, $y]) {
            $length += hypot($x - $points[$i][0], $y - $points[$i][1]);
        }

        return $length;
    }

    /** @return array{version: string, units: int, errors: list<string>, fixes: list<string>, layers: list<string>, linetypes: array<string, string>, lines: list<array{layer: string, isClosed: bool, points: list<array{float, float}>}>} */
    private static function read(string $dxf): array
    {
        $answer = json_decode(Program::answer(['/usr/bin/python3', __DIR__.'/dxf_lines.py'], $dxf), true);
        self::assertIsArray($answer);

        /** @var array{version: string, units: int, errors: list<string>, fixes: list<string>, layers: list<string>, linetypes: array<string, string>, lines: list<array{layer: string, isClosed: bool, points: list<array{float, float}>}>} $answer */
        return $answer;
    }
}
