<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Library;

use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Library\EntryReader;
use Gimbo\Core\Library\Kind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EntryReaderTest extends TestCase
{
    public function test_bare_numbers_are_in_the_entrys_own_system(): void
    {
        $entry = EntryReader::read(Kind::Sizes, ['name' => '  Boat   pass ', 'system' => 'metric', 'kind' => 'card', 'width' => '86', 'height' => '2 1/8 in']);
        self::assertSame(['name' => 'Boat pass', 'system' => 'metric', 'kind' => 'card', 'width' => '86 mm', 'height' => '2 1/8 in'], $entry);
    }

    public function test_tools_nobody_measured_are_the_usual_ones(): void
    {
        $entry = EntryReader::read(Kind::Tools, ['name' => 'Hall table', 'notch' => '0.4', 'reach' => '']);
        self::assertSame(['1/16 in', '1/8 in', '1/8 in', '0.4 in', null], [$entry['cut'], $entry['score'], $entry['punch'], $entry['notch'], $entry['reach']]);
    }

    /** 65 lb cover is 176 g/m² (TAPPI basis 20 × 26 in), and at a bulk of 1.25 cm³/g 0.22 mm thick. */
    public function test_a_papers_caliper_follows_from_its_weight_unless_it_was_measured(): void
    {
        $entry = EntryReader::read(Kind::Papers, ['name' => 'Sand', 'weight' => 65, 'basis' => 'cover-lb', 'colour' => '#E8D9B5']);
        self::assertSame([176, '0.22 mm', '#e8d9b5'], [$entry['grammage'], $entry['caliper'], $entry['colour']]);
        $measured = EntryReader::read(Kind::Papers, ['name' => 'Sand', 'weight' => 65, 'basis' => 'cover-lb', 'caliper' => '0.25', 'width' => '12', 'height' => '12']);
        self::assertSame(['0.25 mm', '12 in', '12 in'], [$measured['caliper'], $measured['width'], $measured['height']]);
        self::assertSame('0.3 mm', EntryReader::read(Kind::Papers, ['name' => 'Some card'])['caliper']);
    }

    /** @return iterable<string, array{Kind, array<string, mixed>, list<string>}> */
    public static function wrong(): iterable
    {
        yield 'a size of nothing' => [Kind::Sizes, ['name' => '', 'kind' => 'poster', 'width' => '-1 in', 'height' => null], ['/name', '/kind', '/width', '/height']];
        yield 'tools' => [Kind::Tools, ['name' => 'x', 'cut' => '0', 'score' => 'a bit', 'colour' => 'red'], ['/colour', '/cut', '/score']];
        yield 'half a sheet' => [Kind::Papers, ['name' => 'x', 'weight' => 0, 'width' => '12 in', 'colour' => 'red'], ['/weight', '/height', '/colour']];
        yield 'no object' => [Kind::Papers, [], ['/name']];
    }

    /**
     * @param array<string, mixed> $document
     * @param list<string> $places
     */
    #[DataProvider('wrong')]
    public function test_says_everything_that_is_wrong_where_it_is(Kind $kind, array $document, array $places): void
    {
        try {
            EntryReader::read($kind, $document);
            self::fail('It must be refused.');
        } catch (InvalidDocument $error) {
            self::assertSame($places, array_column($error->problems, 'at'));
        }
    }

    /** A tool may have two scales, each in its own unit, and what it is like besides; a scale that is no length is said at its field. */
    public function test_tools_as_they_are(): void
    {
        $kept = EntryReader::read(Kind::Tools, ['name' => 'Hut', 'cut' => '1/16, 1 mm', 'score' => '5 mm', 'trimmerScore' => '1/16', 'scoreReach' => '305 mm', 'trimmerReach' => '12', 'slant' => '1 1/2', 'reads' => 'left']);
        self::assertSame(['1/16 in, 1 mm', '5 mm', '1/16 in', '305 mm', '12 in', '1 1/2 in', 'left'], array_map(fn (string $field) => $kept[$field], ['cut', 'score', 'trimmerScore', 'scoreReach', 'trimmerReach', 'slant', 'reads']));
        self::assertSame([null, null, 'both'], array_map(fn (string $field) => EntryReader::read(Kind::Tools, ['name' => 'Hut'])[$field], ['trimmerScore', 'slant', 'reads']));
        try {
            EntryReader::read(Kind::Tools, ['name' => 'Hut', 'cut' => '1/16, wide']);
            self::fail('That is no scale.');
        } catch (InvalidDocument $error) {
            self::assertSame('/cut', $error->problems[0]->at);
        }
    }
}
