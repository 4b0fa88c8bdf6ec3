<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Exchange;

use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\FoldFile;
use Gimbo\Core\Outline\FoldReader;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Crease\BoxPattern;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FoldFileTest extends TestCase
{
    public function test_what_it_writes_it_reads_back_equal(): void
    {
        $envelope = Sizing::ofEverything()->size(['make' => 'diagonal-envelope', 'holds' => ['width' => '5 in', 'height' => '4 in']])->pieces[0]->pattern();
        foreach ([$envelope, BoxPattern::of(50, 40, 12)] as $pattern) {
            $document = FoldFile::write($pattern);
            $read = FoldReader::read(json_decode(json_encode($document, JSON_THROW_ON_ERROR), true));
            self::assertSame($document, FoldFile::write($read));
            self::assertSame($pattern->layers, $read->layers);
            self::assertEquals($pattern->faces, $read->faces);
        }
    }

    /** FOLD 1.2: "a positive fold angle is a valley"; s = +1 where f lies on the side g's normal points to. */
    public function test_says_how_it_is_folded_and_what_lies_on_what(): void
    {
        $pattern = Sizing::ofEverything()->size(['make' => 'diagonal-envelope', 'holds' => ['width' => '5 in', 'height' => '4 in']])->pieces[0]->pattern();
        $document = FoldFile::write($pattern);
        self::assertSame(1.2, $document['file_spec']);
        self::assertSame('mm', $document['frame_unit']);
        foreach ($pattern->edges as $edge) {
            self::assertSame($edge->assignment->value === 'V' ? 180.0 : 0.0, $edge->foldDegrees);
        }
        self::assertIsArray($document['faceOrders']);
        // Flaps lie above the front and face down: above a flap is on the side its normal points away from.
        self::assertContains([1, 0, 1], $document['faceOrders']);
        self::assertContains([3, 1, -1], $document['faceOrders']);
        $glue = $document['faces_gimbo:glue'];
        self::assertSame([null, 3, 3, null, null], $glue);
    }

    public function test_reads_a_foreign_pattern_in_another_unit(): void
    {
        $pattern = FoldReader::read([
            'file_spec' => 1.1, 'frame_unit' => 'in', 'vertices_coords' => [[0, 0], [2, 0], [2, 1], [0, 1], [1, 0], [1, 1]],
            'edges_vertices' => [[0, 4], [4, 1], [1, 2], [2, 5], [5, 3], [3, 0], [4, 5]],
            'edges_assignment' => ['B', 'B', 'B', 'B', 'B', 'B', 'M'], 'edges_foldAngle' => [0, 0, 0, 0, 0, 0, -90],
            'faces_vertices' => [[0, 4, 5, 3], [4, 1, 2, 5]],
        ]);
        self::assertEqualsWithDelta(25.4 * 25.4, $pattern->polygon(0)->area(), 1e-9);
        $standing = Folding::of($pattern)->faces[1];
        self::assertEqualsWithDelta(-25.4, min([0.0, ...array_map(fn ($v) => $v->z, $standing)]), 1e-9, 'a mountain goes down');
    }

    /** @return iterable<string, array{mixed, string}> document, pointer */
    public static function broken(): iterable
    {
        $good = ['frame_unit' => 'mm', 'vertices_coords' => [[0, 0], [1, 0], [0, 1]], 'edges_vertices' => [[0, 1], [1, 2], [2, 0]]];
        yield 'no object' => ['fold', ''];
        yield 'no unit' => [array_diff_key($good, ['frame_unit' => 1]), '/frame_unit'];
        yield 'no vertices' => [array_diff_key($good, ['vertices_coords' => 1]), '/vertices_coords'];
        yield 'a vertex that is none' => [['vertices_coords' => [[0, 0], ['a', 0], [0, 1]]] + $good, '/vertices_coords/1'];
        yield 'an edge of three' => [['edges_vertices' => [[0, 1, 2]]] + $good, '/edges_vertices/0'];
        yield 'an edge to nowhere' => [['edges_vertices' => [[0, 9]]] + $good, '/edges_vertices/0'];
        yield 'an unknown assignment' => [['edges_assignment' => ['B', 'Q', 'B']] + $good, '/edges_assignment/1'];
        yield 'a face of nothing' => [['faces_vertices' => [[]]] + $good, '/faces_vertices/0'];
        yield 'glue to no face' => [['faces_vertices' => [[0, 1, 2]], 'faces_gimbo:glue' => [4]] + $good, '/faces_gimbo:glue/0'];
        yield 'too much of it' => [['vertices_coords' => array_fill(0, 10_001, [0, 0])] + $good, '/vertices_coords'];
    }

    #[DataProvider('broken')]
    public function test_refuses_what_is_broken_with_its_field(mixed $document, string $at): void
    {
        try {
            FoldReader::read($document);
            self::fail('It was read.');
        } catch (InvalidDocument $error) {
            self::assertSame($at, $error->problems[0]->at);
        }
    }
}
