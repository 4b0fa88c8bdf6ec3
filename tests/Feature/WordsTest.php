<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Words\Words;
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

    public function test_every_id_the_core_can_give_has_words_for_the_screen(): void
    {
        $sentences = self::sentences();
        foreach (self::found('/advice: .*?\[\'([a-z-]+)\'\]|\? \[\'([a-z-]+)\'\] : \[\]/', ['core/src/Make']) as $advice) {
            self::assertArrayHasKey("advice.$advice", $sentences);
        }
        foreach (self::found('/public const (?:CARD_WIDTH|CARD_HEIGHT|SEAM|FLAPS|TIPS|SHEET) = \'([a-z-]+)\'/', ['core/src/Make']) as $check) {
            self::assertArrayHasKey("check.$check", $sentences);
            self::assertArrayHasKey("check.$check.fails", $sentences);
        }
        foreach (self::found('/new Remedy\(\'([a-z-]+)\'/', ['core/src/Make']) as $remedy) {
            self::assertArrayHasKey("remedy.$remedy", $sentences);
        }
        foreach (\Gimbo\Core\Paper\NamedSize::all() as $size) {
            self::assertArrayHasKey("size.$size->id", $sentences);
        }
        foreach (\Gimbo\Core\Steps\Deed::cases() as $deed) {
            self::assertArrayHasKey("step.$deed->value", $sentences);
        }
    }

    public function test_the_language_file_is_read_without_a_framework(): void
    {
        self::assertSame(
            'Write a whole number from 1 to 7.',
            Words::in('en', dirname(__DIR__, 2).'/lang')->of(\Gimbo\Core\Error\Reason::of('count.out-of-range', ['most' => 7])),
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
