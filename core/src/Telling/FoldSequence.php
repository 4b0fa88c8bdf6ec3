<?php

declare(strict_types=1);

namespace Gimbo\Core\Telling;

use Gimbo\Core\Crease\Face;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Overlap;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Motion;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Vector;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Paper\Paper;
use Gimbo\Core\Settle\Place;

/**
 * How one piece goes from the flat sheet to the finished thing: which face turns when, on which hinge, and where paper
 * lies on paper. Moments run from 0, flat, to the number of stages, folded.
 *
 * Frame: the standing face stays where it lies on the flat sheet, z towards the side that becomes the inside.
 */
final readonly class FoldSequence
{
    /** How much of the last fold is left open in a still picture. */
    private const AJAR = 0.3;

    /** A gap that an eye sees at a hinge. */
    private const SEEN_MM = 0.8;

    /** Planes closer than this are one. */
    private const SAME_PLANE_MM = 0.01;

    /**
     * @param int $root the face it stands on when it is finished
     * @param list<Bend> $bends parents before children
     * @param list<list<string>> $stages the faces that turn in each
     * @param array<int, Vector> $lifts how far each face stands off its fold when it is folded, by face
     * @param ?int $contentsFace the face the contents lie on
     * @param bool $opens whether its last fold is opened in use, nothing being glued across it
     * @param int $side 1 where the finished piece is looked at from the sheet's inside, -1 from its outside
     */
    private function __construct(
        public Pattern $pattern,
        public int $root,
        public array $bends,
        public array $stages,
        public array $lifts,
        public ?int $contentsFace,
        public Length $contentsDepth,
        public int $side,
        private bool $opens,
    ) {
    }

    public static function of(Piece $piece, Design $design): self
    {
        $pattern = $piece->pattern();
        $root = $pattern->standing;
        $stages = FoldOrder::of($piece, $root, $design->steps());
        $stageOf = [];
        foreach ($stages as $stage => $faces) {
            $stageOf += array_fill_keys($faces, $stage);
        }
        $bends = [];
        foreach (Folding::tree($pattern, $root) as $face => ['parent' => $parent, 'edge' => $edge, 'from' => $from, 'to' => $to]) {
            $degrees = $piece->bends()[(string) $edge->name] ?? [];
            $bends[] = new Bend($face, $parent, $from, $to, $stageOf[$face] ?? 0, $degrees === [] ? [0.0, $edge->foldDegrees] : $degrees);
        }
        $contents = $piece->contentsFace();
        $depth = $contents === null ? Length::zero() : $design->request->item->stack();
        $flat = new self($pattern, $root, $bends, self::named($pattern, $stages), [], $contents, $depth, 1, false);
        $lift = Place::lift($piece->paper());
        $lifts = $pattern->layers === [] ? $flat->liftsOfGlued($lift, $stages) : self::liftsOfLayers($pattern, $root, $lift, $depth->toMillimetres());
        $side = $pattern->layers !== [] && array_sum(array_map(fn (Vector $v) => $v->z, $lifts)) < 0 ? -1 : 1;

        return new self($pattern, $root, $bends, $flat->stages, $lifts, $contents, $depth, $side, $piece->count === 1 && self::isFree($pattern, $bends, count($stages) - 1));
    }

    /** Folded, but what opens in use a little open: the moment at which a still picture says most. */
    public function ajar(): float
    {
        return max(0.0, count($this->stages) - ($this->opens ? self::AJAR : 0.0));
    }

    /**
     * The paper round the edges: between a hinge and what hangs on it, where that stands off by the thickness of what lies between.
     *
     * @return list<list<Vector>>
     */
    public function edgesAt(float $moment): array
    {
        $faces = $this->at($moment);
        $place = fn (int $face, int $vertex): Vector => $faces[$face][(int) array_search($vertex, $this->pattern->faces[$face]->vertices, true)];
        $edges = [];
        foreach ($this->bends as $bend) {
            $quad = [$place($bend->parent, $bend->from), $place($bend->parent, $bend->to), $place($bend->face, $bend->to), $place($bend->face, $bend->from)];
            $quad[0]->minus($quad[3])->length() > self::SEEN_MM && $edges[] = $quad;
        }

        return $edges;
    }

    /** @return list<list<Vector>> the corners of each face at a moment */
    public function at(float $moment): array
    {
        $place = $this->placing($moment);

        return array_map(fn (Face $face, int $f) => array_map(fn (int $v) => $place($f, $this->pattern->vertices[$v]), $face->vertices), $this->pattern->faces, array_keys($this->pattern->faces));
    }

    /** @return \Closure(int, Point): Vector where a point of a face's part of the sheet is at a moment */
    public function placing(float $moment): \Closure
    {
        $motions = [$this->root => Motion::none()];
        $lifted = [$this->root => 1.0];
        foreach ($this->bends as $bend) {
            $motions[$bend->face] = $motions[$bend->parent]->after(Folding::turn($this->pattern, $bend->from, $bend->to, $bend->degreesAt($moment)));
            $lifted[$bend->face] = $bend->lifted($moment);
        }
        $lifts = array_map(fn (int $f): Vector => ($this->lifts[$f] ?? new Vector(0, 0, 0))->times($lifted[$f]), array_keys($this->pattern->faces));

        return fn (int $face, Point $point): Vector => $motions[$face]->of($point)->plus($lifts[$face]);
    }

    /**
     * Whether nothing that turns in a stage, nor what hangs on it, is glued to the rest.
     *
     * @param list<Bend> $bends
     */
    private static function isFree(Pattern $pattern, array $bends, int $stage): bool
    {
        $moving = [];
        foreach ($bends as $bend) {
            if ($bend->stage === $stage || isset($moving[$bend->parent])) {
                $moving[$bend->face] = true;
            }
        }
        foreach ($pattern->faces as $f => $face) {
            if ($face->gluedTo !== null && isset($moving[$f]) !== isset($moving[$face->gluedTo])) {
                return false;
            }
        }

        return $moving !== [];
    }

    /**
     * @param list<list<int>> $stages
     * @return list<list<string>>
     */
    private static function named(Pattern $pattern, array $stages): array
    {
        return array_map(fn (array $faces) => array_map(fn (int $face) => (string) $pattern->faces[$face]->name, $faces), $stages);
    }

    /**
     * Paper on paper, layer by layer; the contents lie between the standing face and what is folded over it.
     *
     * @return array<int, Vector>
     */
    private static function liftsOfLayers(Pattern $pattern, int $root, float $lift, float $contents): array
    {
        $rank = array_flip($pattern->layers);
        $lifts = [];
        foreach ($rank as $face => $place) {
            $above = $place - $rank[$root];
            $lifts[$face] = new Vector(0, 0, $above * $lift + ($above > 0 ? $contents : 0));
        }

        return $lifts;
    }

    /**
     * What is glued on lies inside what it is glued to; what is folded last lies outside what is in its plane.
     *
     * @param list<list<int>> $stages
     * @return array<int, Vector>
     */
    private function liftsOfGlued(float $lift, array $stages): array
    {
        $folded = $this->at(count($this->stages));
        $corners = array_merge(...$folded);
        $middle = array_reduce($corners, fn (Vector $sum, Vector $v) => $sum->plus($v), new Vector(0, 0, 0))->times(1 / count($corners));
        $lifts = [];
        foreach ($this->pattern->faces as $f => $face) {
            if ($face->gluedTo !== null && $f !== $this->root) {
                $lifts[$f] = self::inwards($folded[$face->gluedTo], $middle)->times($lift);
            }
        }
        $last = count($stages) > 1 ? $stages[count($stages) - 1] : [];
        foreach ($last as $face) {
            $inwards = self::inwards($folded[$face], $middle);
            foreach ($folded as $other => $ring) {
                $isSamePlane = $other !== $face && $this->pattern->faces[$other]->gluedTo !== $face && abs($ring[0]->minus($folded[$face][0])->dot($inwards)) < self::SAME_PLANE_MM && $inwards->cross(Overlap::normal($ring))->length() < self::SAME_PLANE_MM;
                if ($isSamePlane && ! isset($lifts[$face])) {
                    $lifts[$face] = $inwards->times(-$lift);
                }
            }
        }

        return $lifts;
    }

    /** @param list<Vector> $ring */
    private static function inwards(array $ring, Vector $middle): Vector
    {
        $normal = Overlap::normal($ring);

        return $normal->dot($middle->minus($ring[0])) < 0 ? $normal->times(-1) : $normal;
    }
}
