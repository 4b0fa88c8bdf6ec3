<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Golden;

use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Whole results for a dozen requests, so that nothing changes unseen. They prove no figure right: the other tests do.
 * After a change that is meant, `GIMBO_GOLDEN=write core/vendor/bin/phpunit -c core --filter Golden` writes them anew.
 */
final class GoldenTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function cases(): iterable
    {
        foreach ((array) glob(__DIR__.'/*/spec.json') as $file) {
            yield basename(dirname((string) $file)) => [dirname((string) $file)];
        }
    }

    #[DataProvider('cases')]
    public function test_the_result_is_the_one_kept(string $folder): void
    {
        $spec = json_decode((string) file_get_contents("$folder/spec.json"), true, 16, JSON_THROW_ON_ERROR);
        $result = json_encode(DesignWriter::write(Sizing::ofEverything()->size($spec)), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
        if (getenv('GIMBO_GOLDEN') === 'write') {
            file_put_contents("$folder/result.json", $result);
        }
        self::assertStringEqualsFile("$folder/result.json", $result);
    }
}
