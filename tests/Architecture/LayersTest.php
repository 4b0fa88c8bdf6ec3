<?php

declare(strict_types=1);

namespace Tests\Architecture;

use Gimbo\Core\Added\Roles;
use Gimbo\Core\Make\Make;
use Gimbo\Core\Make\Makes;
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

    /** Words that happen to be called like a make, a role or an option, and are something else there: file, word, what it is. */
    private const OTHERWISE = [
        ['Added/Cutting.php', 'window', 'the id of a step'], ['Added/Cutting.php', 'fold', 'the id of a step'],
        ['Make/Shared/TurnedWork.php', 'fold', 'the id of a step'], ['Settle/MeasureRow.php', 'slope', 'what a protractor reads'],
        ['Settle/Meetings.php', 'depth', 'a figure of what is held'], ['Settle/Missed.php', 'depth', 'a figure of the closed make'],
        ['Settle/Mending.php', 'depth', 'a clearance'],
    ];

    /** What a make or a role is asked for and what follows from it stand in its own folder; an option of several makes, in the one class they share it from. */
    public function test_what_is_shared_names_no_make_no_role_and_no_option_by_its_text(): void
    {
        $makes = Makes::all();
        $options = array_merge(...array_map(fn (Make $make): array => array_column($make->options(), 'name'), $makes->list()));
        $names = [...$makes->ids(), ...Roles::all()->ids(), ...$options];
        $found = [];
        foreach (['Make', 'Make/Shared', 'Added', 'Settle'] as $folder) {
            foreach (glob(self::CORE."$folder/*.php") ?: [] as $file) {
                $code = (string) file_get_contents($file);
                foreach (\PhpToken::tokenize($code) as $token) {
                    $text = trim($token->text, '\'"');
                    $isOwner = str_contains($code, "Row::choice('$text'") || str_contains($code, "Row::length('$text'");
                    if ($token->id === T_CONSTANT_ENCAPSED_STRING && in_array($text, $names, true) && ! $isOwner) {
                        $found[] = "$folder/".basename($file)." $text";
                    }
                }
            }
        }
        self::assertEqualsCanonicalizing(array_map(fn (array $one): string => "$one[0] $one[1]", self::OTHERWISE), array_values(array_unique($found)));
    }
}
