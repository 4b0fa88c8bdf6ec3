<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Words\Words;
use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Paper\NamedSize;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Table;
use Gimbo\Core\Tests\Specs;
use MessageFormatter;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** Every code the core can give has its words. */
final class WordsTest extends TestCase
{
    public function test_every_reason_in_the_sources_has_a_sentence(): void
    {
        $sentences = self::sentences();
        $codes = self::found('/Reason::of\(\'([a-z.-]+)\'|Errors::said\(\d+, \'([a-z.-]+)\'|self::said\(\d+, \'([a-z.-]+)\'|\'((?:option|field)\.unknown)\'/', ['core/src', 'app']);
        self::assertGreaterThan(20, count($codes));
        foreach ($codes as $code) {
            self::assertArrayHasKey("reason.$code", $sentences);
        }
    }

    /** What can be changed by itself is called something: by its row, as the screens look its name up (resources/js/ui/fieldName.ts). */
    public function test_every_field_that_can_be_changed_has_a_name(): void
    {
        $sentences = self::sentences();
        $sizing = Sizing::ofEverything();
        $named = 0;
        foreach ($sizing->makes->list() as $make) {
            $table = new Table($sizing->makes->ids(), $make, $sizing->added);
            $rows = $table->root->rows();
            foreach ($table->entries as $entry) {
                foreach ($entry->rows() as $at => $row) {
                    $rows["/with$at"] = $row;
                }
            }
            foreach ($rows as $at => $row) {
                if ($row->moved !== null) {
                    self::assertArrayHasKey('field'.strtr((string) preg_replace('~^/papers/\*~', '/paper', $at), '/', '.'), $sentences);
                    $named++;
                }
            }
        }
        self::assertGreaterThan(500, $named);
    }

    /** Whatever any make can answer, found by asking for a hundred random designs of each. */
    public function test_every_id_the_core_can_give_has_words_for_the_screen(): void
    {
        $sentences = self::sentences();
        mt_srand(11);
        $sizing = Sizing::ofEverything();
        $keys = [];
        foreach ($sizing->makes->list() as $make) {
            array_push($keys, "make.{$make->id()}", "make.{$make->id()}.noun");
            foreach ($make->options() as $option) {
                array_push($keys, "field.options.$option->name", ...array_map(fn (string $choice) => "choice.$choice", $option->choices));
            }
            for ($i = 0; $i < 100; $i++) {
                array_push($keys, ...self::keysOf(DesignWriter::write($sizing->size(Specs::random($make->id())))));
            }
        }
        foreach (NamedSize::all() as $size) {
            $keys[] = "size.$size->id";
        }
        self::assertSame([], array_values(array_diff(array_unique($keys), array_keys($sentences))));
    }

    /**
     * @param array<string, mixed> $design as the core writes it
     * @return list<string>
     */
    private static function keysOf(array $design): array
    {
        $keys = [];
        $terms = fn (array $some): array => array_map(fn (array $term) => "term.{$term['kind']}".($term['dimension'] === null ? '' : ".{$term['dimension']}"), $some);
        foreach ((array) $design['pieces'] as $piece) {
            $keys[] = 'piece.'.preg_replace('/-\d+$/', '', $piece['id']);
            array_push($keys, ...array_map(fn (string $face) => "face.$face", $piece['fold']['faces_gimbo:name']));
            foreach ($piece['measures'] as $measure) {
                array_push($keys, ...$terms($measure['madeOf']));
            }
        }
        foreach ((array) $design['checks'] as $check) {
            array_push($keys, "check.{$check['id']}", "check.{$check['id']}.fails", ...$terms($check['madeOf']));
            array_push($keys, ...array_map(fn (array $remedy) => "remedy.{$remedy['id']}", $check['remedies']));
        }
        foreach ((array) $design['steps'] as $step) {
            array_push($keys, ...array_map(fn (string $face) => "face.$face", $step['faces']));
        }

        return $keys;
    }

    /** By ICU itself, which reads them in PHP as the browser's library does. */
    public function test_every_sentence_of_every_language_is_a_message_with_the_same_arguments(): void
    {
        $arguments = function (string $sentence): array {
            preg_match_all('/\{\s*(\w+)\s*[,}]/', (string) preg_replace('/(?:zero|one|two|few|many|other|=\d+)\s*\{/', '(', $sentence), $found);
            $names = array_unique($found[1]);
            sort($names);

            return $names;
        };
        $english = self::sentences();
        foreach ((array) glob(dirname(__DIR__, 2).'/lang/*.json') as $file) {
            $sentences = json_decode((string) file_get_contents((string) $file), true);
            self::assertIsArray($sentences);
            self::assertSame(array_keys($english), array_keys($sentences), basename((string) $file));
            foreach ($sentences as $key => $sentence) {
                self::assertIsString(MessageFormatter::formatMessage((string) $sentences['language'], $sentence, array_fill_keys($arguments($sentence), 2)), "$key: $sentence");
                self::assertSame($arguments($english[$key]), $arguments($sentence), (string) $key);
                self::assertDoesNotMatchRegularExpression("/'/", $sentence, "$key: ICU reads an apostrophe as a sign of its own");
            }
        }
    }

    public function test_the_language_file_is_read_without_a_framework(): void
    {
        self::assertSame(
            'Write a whole number from 1 to 7.',
            Words::in('en', dirname(__DIR__, 2).'/lang')->of(\Gimbo\Core\Error\Reason::of('count.out-of-range', ['least' => 1, 'most' => 7])),
        );
    }

    /** @return array<string, string> */
    private static function sentences(): array
    {
        /** @var array<string, string> */
        return json_decode((string) file_get_contents(dirname(__DIR__, 2).'/lang/en.json'), true, 4, JSON_THROW_ON_ERROR);
    }

    /**
     * @param list<string> $folders
     * @return list<string>
     */
    private static function found(string $pattern, array $folders): array
    {
        $codes = [];
        foreach ($folders as $folder) {
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2)."/$folder", \FilesystemIterator::SKIP_DOTS)) as $file) {
                preg_match_all($pattern, (string) file_get_contents((string) $file), $matches, PREG_SET_ORDER);
                foreach ($matches as $match) {
                    $codes[] = end($match);
                }
            }
        }

        return array_values(array_unique(array_filter($codes)));
    }
}
