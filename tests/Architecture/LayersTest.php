<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** That the list the gate works from is whole, and its arrows go one way; and, past what the gate reads, that no file imports more. */
final class LayersTest extends TestCase
{
    private const CORE = __DIR__.'/../../core/src/';

    public function test_every_folder_stands_in_the_list_and_uses_only_folders_before_it(): void
    {
        $folders = array_map(basename(...), glob(self::CORE.'*', GLOB_ONLYDIR) ?: []);
        self::assertEqualsCanonicalizing([...$folders, ''], array_keys(Layers::MAY_USE));
        $before = [];
        foreach (Layers::MAY_USE as $folder => $others) {
            self::assertSame([], array_diff($others, $before), "$folder uses what stands above it");
            $before[] = $folder;
        }
    }

    public function test_every_import_of_every_file_is_allowed_and_every_allowed_arrow_is_there(): void
    {
        $used = array_fill_keys(array_keys(Layers::MAY_USE), []);
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::CORE, \FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            $path = explode('/', substr((string) $file, strlen(self::CORE)));
            $folder = count($path) === 1 ? '' : $path[0];
            preg_match_all('/^use Gimbo\\\\Core\\\\([\w\\\\]+)(?: as \w+)?;/m', (string) file_get_contents((string) $file), $imports);
            foreach ($imports[1] as $import) {
                $other = str_contains($import, '\\') ? explode('\\', $import)[0] : '';
                $other === $folder || $used[$folder][$other] = true;
            }
        }
        foreach (Layers::MAY_USE as $folder => $others) {
            self::assertEqualsCanonicalizing($others, array_keys($used[$folder]), $folder);
        }
    }
}
