<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Crease\Edge;
use Gimbo\Core\Crease\Face;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Exchange\FoldFile;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Specs;
use Gimbo\Core\Tests\Steps\Followed;
use Gimbo\Core\Tests\Steps\Follower;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Our FOLD documents as Rabbit Ear 0.9 and FOLD 0.12 (npm packages rabbit-ear and fold) read and fold them. */
final class OrigamiTest extends TestCase
{
    private const SAME_MM = 1e-4;

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('makes')]
    public function test_an_origami_library_folds_our_pieces_to_the_same_place(string $make): void
    {
        mt_srand(4);
        $pieces = [];
        for ($i = 0; $i < 40; $i++) {
            array_push($pieces, ...Sizing::ofEverything()->size(Specs::random($make))->pieces);
        }
        foreach (self::ask(array_map(fn ($piece) => self::cutOpen($piece->pattern()), $pieces)) as $i => $answer) {
            $pattern = self::cutOpen($pieces[$i]->pattern());
            $isFlat = array_filter($pattern->edges, fn ($edge) => ! in_array(abs($edge->foldDegrees), [0.0, 180.0], true)) === [];
            foreach ($pattern->faces as $f => $face) {
                foreach ($face->vertices as $corner => $v) {
                    $here = $pieces[$i]->folding()->faces[$f][$corner];
                    self::assertEqualsWithDelta([$here->x, $here->y, $here->z], $answer['inSpace'][$v], self::SAME_MM);
                    $isFlat && self::assertEqualsWithDelta([$here->x, $here->y], $answer['folded'][$v], self::SAME_MM);
                }
            }
            self::assertSame(count($pattern->edges), $answer['edgesOfFaces'], 'the faces have just the edges that are listed');
            if ($isFlat) {
                self::assertSame([], $answer['maekawa'], 'Maekawa’s theorem at every vertex inside the sheet');
                self::assertSame([], $answer['kawasaki'], 'Kawasaki’s theorem at every vertex inside the sheet');
                self::assertOutlineIsTheBox($answer['folded'], $pattern, [$pieces[$i]->folded()->width, $pieces[$i]->folded()->height]);
            }
        }
    }

    /**
     * What somebody ends with who follows the steps' readings, folded by the library: every corner comes to where ours does. Pieces
     * with slits are left out, whose faces only look joined on the flat sheet.
     */
    #[DataProvider('makes')]
    public function test_an_origami_library_folds_what_followed_the_steps(string $make): void
    {
        mt_srand(6);
        $asked = $pieces = [];
        for ($i = 0; $i < 12; $i++) {
            $design = Sizing::ofEverything()->size(Specs::random($make));
            foreach (Followed::pieces($design, Follower::BY_READINGS) as $n => $follower) {
                $piece = $design->pieces[$n];
                if ($follower->slits() === []) {
                    $asked[] = self::edgesOf($follower, (string) $piece->pattern()->faces[0]->name);
                    $pieces[] = $piece;
                }
            }
        }
        $output = Program::answer(['node', __DIR__.'/followed.mjs'], json_encode($asked, JSON_THROW_ON_ERROR));
        /** @var list<array{faces: int, flat: list<array{float, float}>, folded: list<array{float, float, float}>}> $answers */
        $answers = json_decode($output, true, 16, JSON_THROW_ON_ERROR);
        self::assertCount(count($pieces), $answers);
        foreach ($answers as $i => $answer) {
            $pattern = $pieces[$i]->pattern();
            self::assertSame(count($pattern->faces), $answer['faces'], $pieces[$i]->id);
            foreach ($pattern->faces as $f => $face) {
                foreach ($face->vertices as $corner => $v) {
                    $here = $pieces[$i]->folding()->faces[$f][$corner];
                    $theirs = self::nearest($answer['flat'], $answer['folded'], $pattern->vertices[$v]->x, $pattern->vertices[$v]->y);
                    $theirs === null || self::assertEqualsWithDelta([$here->x, $here->y, $here->z], $theirs, 0.01, "{$pieces[$i]->id} $face->name");
                }
            }
        }
    }

    /** @return array{vertices: list<array{float, float}>, edges: list<array{int, int}>, assignments: list<string>, angles: list<float>, stays: array{float, float}} */
    private static function edgesOf(Follower $follower, string $stays): array
    {
        $segments = array_map(fn (array $segment) => [$segment, 'B', 0.0], $follower->outline());
        foreach ($follower->folds as $fold) {
            $segments[] = [$fold['segment'], $fold['deg'] < 0 ? 'M' : 'V', $fold['deg']];
        }
        $document = ['vertices' => [], 'edges' => [], 'assignments' => [], 'angles' => [], 'stays' => $follower->names[$stays]['at']];
        foreach ($segments as [[$from, $to], $assignment, $angle]) {
            $n = count($document['vertices']);
            array_push($document['vertices'], $from, $to);
            $document['edges'][] = [$n, $n + 1];
            $document['assignments'][] = $assignment;
            $document['angles'][] = $angle;
        }

        return $document;
    }

    /**
     * @param list<array{float, float}> $flat
     * @param list<array{float, float, float}> $folded
     * @return array{float, float, float}|null null where a corner of ours lies within a straight side of theirs
     */
    private static function nearest(array $flat, array $folded, float $x, float $y): ?array
    {
        foreach ($flat as $v => $point) {
            if (hypot($point[0] - $x, $point[1] - $y) < 0.005) {
                return [$folded[$v][0], $folded[$v][1], $folded[$v][2] ?? 0.0];
            }
        }

        return null;
    }

    /** The theorems are not empty words here: a diamond card has two vertices inside the sheet, and a wrong fold is found. */
    public function test_an_origami_library_finds_a_fold_that_cannot_lie_flat(): void
    {
        $pattern = Sizing::ofEverything()->size(['make' => 'diamond-card', 'holds' => ['width' => '6 in', 'height' => '6 in']])->pieces[0]->pattern();
        $document = FoldFile::write($pattern);
        self::assertIsArray($document['edges_assignment']);
        $wrong = array_search('V', $document['edges_assignment'], true);
        $document['edges_assignment'][$wrong] = 'M';
        self::assertNotSame([], self::answers([$document])[0]['maekawa']);
    }

    /**
     * @param list<array{float, float}> $folded
     * @param array{float, float} $extents
     */
    private static function assertOutlineIsTheBox(array $folded, Pattern $pattern, array $extents): void
    {
        $corners = array_map(fn (int $v) => $pattern->vertices[$v], $pattern->faces[0]->vertices);
        $along = $corners[1]->minus($corners[0])->times(1 / $corners[1]->minus($corners[0])->length());
        $theirs = [self::spread($folded, $along->x, $along->y), self::spread($folded, -$along->y, $along->x)];
        sort($theirs);
        sort($extents);
        self::assertEqualsWithDelta($extents, $theirs, self::SAME_MM);
    }

    /** @param list<array{float, float}> $points */
    private static function spread(array $points, float $x, float $y): float
    {
        [$least, $most] = [INF, -INF];
        foreach ($points as $point) {
            $on = $point[0] * $x + $point[1] * $y;
            [$least, $most] = [min($least, $on), max($most, $on)];
        }

        return $most - $least;
    }

    /**
     * @param list<Pattern> $patterns
     * @return list<array{folded: list<array{float, float}>, inSpace: list<array{float, float, float}>, edgesOfFaces: int, maekawa: list<int>, kawasaki: list<int>}>
     */
    private static function ask(array $patterns): array
    {
        return self::answers(array_map(fn (Pattern $pattern) => FoldFile::write($pattern), $patterns));
    }

    /**
     * @param list<array<string, mixed>> $documents
     * @return list<array{folded: list<array{float, float}>, inSpace: list<array{float, float, float}>, edgesOfFaces: int, maekawa: list<int>, kawasaki: list<int>}>
     */
    private static function answers(array $documents): array
    {
        $process = proc_open(['node', __DIR__.'/folded.mjs'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], json_encode($documents, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $output = (string) stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);
        self::assertSame(0, proc_close($process), $errors);

        /** @var list<array{folded: list<array{float, float}>, inSpace: list<array{float, float, float}>, edgesOfFaces: int, maekawa: list<int>, kawasaki: list<int>}> */
        return json_decode($output, true, 16, JSON_THROW_ON_ERROR);
    }

    /**
     * The same pattern with its slits opened: faces on either side of one no longer share its vertices. (The library
     * walks from face to face over every edge they share, a slit too.)
     */
    private static function cutOpen(Pattern $pattern): Pattern
    {
        $names = [];
        foreach ($pattern->faces as $f => $face) {
            foreach ($face->vertices as $v) {
                $names["$f:$v"] = "$f:$v";
            }
        }
        $sides = [];
        foreach ($pattern->faces as $f => $face) {
            foreach ($face->vertices as $i => $v) {
                $next = $face->vertices[($i + 1) % count($face->vertices)];
                $sides[min($v, $next).'-'.max($v, $next)][] = $f;
            }
        }
        $edges = [];
        foreach ($pattern->edges as $edge) {
            $key = min($edge->from, $edge->to).'-'.max($edge->from, $edge->to);
            $edges[$key] = $edge;
            foreach ($edge->assignment->isFold() ? [$edge->from, $edge->to] : [] as $v) {
                [$f, $g] = $sides[$key];
                [$keep, $drop] = [$names["$f:$v"], $names["$g:$v"]];
                $names = array_map(fn (string $name) => $name === $drop ? $keep : $name, $names);
            }
        }
        $index = array_flip(array_values(array_unique($names)));
        $vertices = $opened = $faces = [];
        foreach ($pattern->faces as $f => $face) {
            $ring = array_map(fn (int $v) => $index[$names["$f:$v"]], $face->vertices);
            $faces[] = new Face($ring, $face->name, $face->gluedTo);
            foreach ($ring as $i => $new) {
                $old = $face->vertices[$i];
                $vertices[$new] = $pattern->vertices[$old];
                $next = ($i + 1) % count($ring);
                $edge = $edges[min($old, $face->vertices[$next]).'-'.max($old, $face->vertices[$next])];
                $assignment = $edge->assignment === Assignment::Cut ? Assignment::Boundary : $edge->assignment;
                $opened[min($new, $ring[$next]).'-'.max($new, $ring[$next])] ??= new Edge($new, $ring[$next], $assignment, $edge->foldDegrees, $edge->name);
            }
        }
        ksort($vertices);

        return new Pattern(array_values($vertices), array_values($opened), $faces, $pattern->layers);
    }
}
