<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Exchange;

use Gimbo\Core\Document\JsonText;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\DesignDocument;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DesignDocumentTest extends TestCase
{
    private const GOOD = [
        'format' => 'gimbo-design', 'version' => 3, 'name' => 'Boat ticket',
        'spec' => ['make' => 'diagonal-envelope', 'holds' => ['width' => '105 mm', 'height' => '74 mm']],
    ];

    public function test_what_is_handed_on_comes_back_equal(): void
    {
        $document = DesignDocument::read(self::GOOD, Sizing::ofEverything());
        self::assertSame(self::GOOD, $document->toArray());
    }

    public function test_a_name_is_one_line_of_plain_text(): void
    {
        self::assertSame('Tern count, May', DesignDocument::of("  Tern\ncount,\t May \u{0}", [])->name);
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function broken(): iterable
    {
        yield 'no object' => [3, '/format'];
        yield 'a foreign one' => [['format' => 'other'] + self::GOOD, '/format'];
        yield 'a later version' => [['version' => 4] + self::GOOD, '/version'];
        yield 'no name' => [array_diff_key(self::GOOD, ['name' => 1]), '/name'];
        yield 'an empty name' => [['name' => "\n"] + self::GOOD, '/name'];
        yield 'a long name' => [['name' => str_repeat('a', 81)] + self::GOOD, '/name'];
        yield 'no spec' => [array_diff_key(self::GOOD, ['spec' => 1]), '/spec'];
        yield 'a spec with a bad field' => [['spec' => ['holds' => ['width' => '5', 'height' => '4 in']] + self::GOOD['spec']] + self::GOOD, '/spec/holds/width'];
    }

    #[DataProvider('broken')]
    public function test_refuses_a_broken_document_whole_with_its_field(mixed $document, string $at): void
    {
        try {
            DesignDocument::read($document, Sizing::ofEverything());
            self::fail('It was read.');
        } catch (InvalidDocument $error) {
            self::assertSame($at, $error->problems[0]->at);
        }
    }

    /** @return iterable<string, array{string, int}> text, line */
    public static function notJson(): iterable
    {
        yield 'nothing' => ['', 1];
        yield 'cut off' => ["{\n\"a\": [1,\n2", 3];
        yield 'a stray word' => ["{\n  \"a\": 1,\n  \"b\": yes\n}", 3];
        yield 'single quotes' => ["{\n'a': 1}", 2];
        yield 'a comment' => ["{\n\n// no\n}", 3];
        yield 'too deep' => [str_repeat('[', 40).str_repeat(']', 40), 1];
    }

    #[DataProvider('notJson')]
    public function test_says_in_which_line_json_stops_making_sense(string $text, int $line): void
    {
        try {
            JsonText::decode($text, 1000);
            self::fail('It was read.');
        } catch (InvalidDocument $error) {
            self::assertSame(['document.not-json', ['line' => $line]], [$error->problems[0]->reason->code, $error->problems[0]->reason->params]);
        }
    }

    public function test_refuses_what_is_too_large_before_reading_it(): void
    {
        try {
            JsonText::decode('"'.str_repeat('a', 2000).'"', 1024);
            self::fail('It was read.');
        } catch (InvalidDocument $error) {
            self::assertSame('document.too-large', $error->problems[0]->reason->code);
        }
        self::assertSame(['a' => 1.5], JsonText::decode('{"a": 1.5}', 1024));
    }

    /**
     * A design of version 2 keeps its figures: scores from each edge; four cards of 4.5 mm in a pocket with their loft, 1/16 in and three papers,
     * 20.7 + 1.5875 + 0.9; a wrap's sides half of its front and an inch.
     */
    public function test_a_design_of_version_2_keeps_what_was_usual_then(): void
    {
        $kept = fn (array $spec): array => DesignDocument::kept(['version' => 2, 'name' => 'x', 'spec' => $spec])->spec;
        $wallet = $kept(['make' => 'note-wallet', 'holds' => ['width' => '5 3/4 in', 'height' => '4 3/8 in', 'thickness' => '4.5 mm', 'count' => 8]]);
        self::assertSame(['readings' => 'each-edge'], $wallet['tools']);
        self::assertSame(['gusset' => '23.1875 mm', 'pocketHeight' => '2 in'], $wallet['options']);
        $wrap = $kept(['make' => 'straight-envelope', 'holds' => ['width' => '150 mm', 'height' => '100 mm', 'thickness' => '1 mm'], 'clearance' => ['width' => '4.7 mm'], 'options' => ['sides' => 'wrap']]);
        // 150 + 4.7 + 1 + 0.3 = 156: 78 + 25.4.
        self::assertSame(['sides' => 'wrap', 'sideFlap' => '103.4 mm'], $wrap['options']);
        $asked = $kept(['make' => 'tray-and-lid', 'holds' => ['width' => '5 in', 'height' => '4 in'], 'tools' => ['readings' => 'read-on']]);
        self::assertSame(['readings' => 'read-on'], $asked['tools']);
    }

    /** A design of version 1 keeps the defaults it was sized with: no room in depth, and as much play as 2.5 mm between the walls leave at its tabs. */
    public function test_an_earlier_document_keeps_the_defaults_it_was_sized_with(): void
    {
        $earlier = ['version' => 1, 'spec' => ['make' => 'tray-and-lid', 'holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '20 mm'], 'system' => 'metric', 'paper' => ['caliper' => '0.4 mm']]] + self::GOOD;
        $document = DesignDocument::read($earlier, Sizing::ofEverything());
        $request = Sizing::ofEverything()->request($document->spec);
        self::assertSame([0.0, 1.7, 'like-the-wall'], [$request->clearance->depth->toMillimetres(), $request->options->length('lidPlay')?->toMillimetres(), $request->options->choice('hem')]);
        self::assertSame(2.0, $request->clearance->width->toMillimetres(), 'what was usual then and is still is not said');
        self::assertSame(3, $document->toArray()['version']);
        self::assertEquals($document, DesignDocument::kept($document->toArray()), 'brought up to date once');
        $square = DesignDocument::kept(['version' => 1, 'name' => 'x', 'spec' => ['make' => 'diagonal-envelope', 'holds' => ['width' => '4 in', 'height' => '4 in']]]);
        self::assertSame(['width' => '1/4 in', 'height' => '1/8 in'], $square->spec['clearance']);
        $asked = DesignDocument::kept(['version' => 1, 'name' => 'x', 'spec' => ['make' => 'lantern-card', 'holds' => ['width' => '4 in', 'height' => '4 in'], 'options' => ['light' => '40 mm'], 'paper' => ['caliper' => '0.5 mm']]]);
        self::assertSame(['light' => '39.5 mm'], $asked->spec['options']);
    }
}
