<?php

declare(strict_types=1);

namespace Tests\Feature;

use Gimbo\Core\Exchange\DesignWriter;
use Gimbo\Core\Exchange\FoldFile;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Outline\FoldReader;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The document that scripts read: every make answers with the same fields. */
final class ResultTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_every_make_answers_with_the_fields_that_were_agreed(string $make): void
    {
        mt_srand(9);
        for ($i = 0; $i < 25; $i++) {
            $design = json_decode(json_encode(DesignWriter::write(Sizing::ofEverything()->size(Specs::random($make))), JSON_THROW_ON_ERROR), true, 64, JSON_THROW_ON_ERROR);
            self::assertIsArray($design);
            self::assertSame($make, $design['make']);
            foreach (['inside', 'closed'] as $extents) {
                foreach (['width', 'height', 'depth'] as $side) {
                    self::assertTrue(is_int($design[$extents][$side]) || is_float($design[$extents][$side]));
                }
            }
            self::assertPieces($design['pieces']);
            foreach ($design['checks'] as $check) {
                self::assertEqualsWithDelta($check['have'] - $check['need'], $check['slack'], 2e-4);
                self::assertSame($check['slack'] > -1e-4 && ($check['most'] === null || $check['have'] < $check['most'] + 1e-4), $check['ok'], $check['id']);
                self::assertTrue($check['ok'] || is_array($check['remedies']));
            }
            $ids = array_column($design['pieces'], 'id');
            foreach ($design['steps'] as $step) {
                self::assertContains($step['piece'], $ids);
                self::assertNotSame('', $step['id']);
                $measures = array_column($design['pieces'], 'measures', 'id')[$step['piece']];
                foreach ($step['measures'] as $measure) {
                    self::assertArrayHasKey($measure, $measures);
                }
            }
        }
    }

    /** @param list<array<string, mixed>> $pieces */
    private static function assertPieces(array $pieces): void
    {
        self::assertNotSame([], $pieces);
        self::assertSame(array_unique(array_column($pieces, 'id')), array_column($pieces, 'id'));
        foreach ($pieces as $piece) {
            self::assertGreaterThanOrEqual(1, $piece['count']);
            self::assertCount(count((array) $piece['fold']['edges_vertices']), (array) $piece['fold']['edges_assignment']);
            self::assertSame($piece['fold']['faces_vertices'], FoldFile::write(FoldReader::read($piece['fold']))['faces_vertices']);
            foreach ((array) $piece['measures'] as $measure) {
                self::assertContains($measure['kind'], ['cut', 'score', 'punch', 'mark', 'trim']);
                self::assertContains($measure['axis'], ['width', 'height', 'diagonal', 'cross-diagonal', 'edge']);
                self::assertMatchesRegularExpression('/^(≈ )?[\d .\/]+ (in|mm)$/u', $measure['text']);
                foreach ($measure['edges'] as $edge) {
                    self::assertArrayHasKey($edge, $piece['fold']['edges_vertices']);
                }
            }
        }
    }
}
