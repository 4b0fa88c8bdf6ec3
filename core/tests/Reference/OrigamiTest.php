<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Exchange\FoldFile;
use Gimbo\Core\Sizing;
use Gimbo\Core\Tests\Crease\BoxPattern;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\TestCase;

/** Our FOLD documents as Rabbit Ear 0.9 and FOLD 0.12 (npm packages rabbit-ear and fold) read and fold them. */
final class OrigamiTest extends TestCase
{
    private const SAME_MM = 1e-4;

    public function test_an_origami_library_folds_our_envelopes_to_the_same_place(): void
    {
        mt_srand(4);
        $patterns = [];
        $faces = [];
        for ($i = 0; $i < 150; $i++) {
            $design = Sizing::ofEverything()->size(Specs::random());
            $patterns[] = $design->pieces[0]->pattern;
            $faces[] = [$design->pieces[0]->folded->width, $design->pieces[0]->folded->height];
        }
        foreach (self::ask($patterns) as $i => $answer) {
            $ours = self::byVertex($patterns[$i]);
            foreach ($answer['folded'] as $v => [$x, $y]) {
                self::assertEqualsWithDelta([$ours[$v]->x, $ours[$v]->y], [$x, $y], self::SAME_MM);
            }
            self::assertSame(count($patterns[$i]->edges), $answer['edgesOfFaces'], 'the faces have just the edges that are listed');
            // Folds that meet inside the sheet would have to satisfy both theorems; here all meet at its edge.
            self::assertSame([], $answer['maekawa']);
            self::assertSame([], $answer['kawasaki']);
            self::assertOutlineIsTheFace($answer['folded'], $patterns[$i], $faces[$i]);
        }
    }

    public function test_an_origami_library_folds_a_box_in_space_to_the_same_place(): void
    {
        $pattern = BoxPattern::of(106, 151, 20);
        $answer = self::ask([$pattern])[0];
        $ours = self::byVertex($pattern);
        foreach ($answer['inSpace'] as $v => $theirs) {
            // The slit's vertices belong to two faces that part: only hinged ones have one place.
            if (in_array($v, self::slitEnds($pattern), true)) {
                continue;
            }
            self::assertEqualsWithDelta([$ours[$v]->x, $ours[$v]->y, $ours[$v]->z], $theirs, self::SAME_MM);
        }
    }

    /**
     * @param list<array{float, float}> $folded
     * @param array{float, float} $extents
     */
    private static function assertOutlineIsTheFace(array $folded, Pattern $pattern, array $extents): void
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
        $process = proc_open(['node', __DIR__.'/folded.mjs'], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], json_encode(array_map(fn (Pattern $pattern) => FoldFile::write($pattern), $patterns), JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $output = (string) stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);
        self::assertSame(0, proc_close($process), $errors);

        /** @var list<array{folded: list<array{float, float}>, inSpace: list<array{float, float, float}>, edgesOfFaces: int, maekawa: list<int>, kawasaki: list<int>}> */
        return json_decode($output, true, 16, JSON_THROW_ON_ERROR);
    }

    /** @return array<int, \Gimbo\Core\Geometry\Vector> */
    private static function byVertex(Pattern $pattern): array
    {
        $folding = Folding::of($pattern);
        $places = [];
        foreach ($pattern->faces as $f => $face) {
            foreach ($face->vertices as $i => $v) {
                $places[$v] ??= $folding->faces[$f][$i];
            }
        }

        return $places;
    }

    /** @return list<int> */
    private static function slitEnds(Pattern $pattern): array
    {
        $ends = [];
        foreach ($pattern->edges as $edge) {
            if ($edge->assignment === \Gimbo\Core\Crease\Assignment::Cut) {
                $ends[] = $edge->from;
                $ends[] = $edge->to;
            }
        }

        return $ends;
    }
}
