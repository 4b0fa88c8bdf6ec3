<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** That the list the gate works from is whole, and its arrows go one way; and, past what the gate reads, that no file imports more. */
final class LayersTest extends TestCase
{
    private const CORE = __DIR__.'/../../core/src/';

    private const APPLICATION = __DIR__.'/../../app/';

    /** @return array<string, array{string, string, array<string, list<string>>, list<string>}> folder, namespace, the list, what lies in none */
    public static function parts(): array
    {
        return [
            'core' => [self::CORE, 'Gimbo\\Core\\', Layers::MAY_USE, ['']],
            'application' => [self::APPLICATION, 'App\\', Layers::OF_THE_APPLICATION, []],
        ];
    }

    /**
     * @param array<string, list<string>> $mayUse
     * @param list<string> $loose
     */
    #[DataProvider('parts')]
    public function test_every_folder_stands_in_the_list_and_uses_only_folders_before_it(string $in, string $of, array $mayUse, array $loose): void
    {
        $folders = array_map(basename(...), glob("$in*", GLOB_ONLYDIR) ?: []);
        self::assertEqualsCanonicalizing([...$folders, ...$loose], array_keys($mayUse));
        $before = [];
        foreach ($mayUse as $folder => $others) {
            self::assertSame([], array_diff($others, $before), "$folder uses what stands above it");
            $before[] = $folder;
        }
    }

    /** @param array<string, list<string>> $mayUse */
    #[DataProvider('parts')]
    public function test_every_import_of_every_file_is_allowed_and_every_allowed_arrow_is_there(string $in, string $of, array $mayUse): void
    {
        $used = array_fill_keys(array_keys($mayUse), []);
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($in, \FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            $path = explode('/', substr((string) $file, strlen($in)));
            $folder = count($path) === 1 ? '' : $path[0];
            preg_match_all('/^use '.preg_quote($of, '/').'([\w\\\\]+)(?: as \w+)?;/m', (string) file_get_contents((string) $file), $imports);
            foreach ($imports[1] as $import) {
                $other = str_contains($import, '\\') ? explode('\\', $import)[0] : '';
                $other === $folder || $used[$folder][$other] = true;
            }
        }
        foreach ($mayUse as $folder => $others) {
            self::assertEqualsCanonicalizing($others, array_keys($used[$folder]), $folder);
        }
    }
}
