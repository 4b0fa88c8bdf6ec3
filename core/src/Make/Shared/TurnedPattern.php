<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Geometry\Tolerance;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\Tips;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Sheet\TurnedSquare;
use Gimbo\Core\Spec\SizingRequest;

/** The patterns of the diagonal family. Frame: see TurnedSquare. */
final readonly class TurnedPattern
{
    private const SIDES = [Flap::LEFT, Flap::RIGHT];

    private TurnedSquare $square;

    /** @var array<string, float> what each flap's tip loses, mm */
    private array $tips;

    private bool $isTopTurnedIn;

    private float $rounding;

    /** @param bool $isOpenAbove whether its top corner stands and nothing is cut beside it: scored, with no notch there */
    public function __construct(private string $piece, TurnedLayout $layout, SizingRequest $request, private bool $isOpenAbove = false)
    {
        $this->rounding = TurnedWork::rounding($layout, $request);
        [$this->square, $this->isTopTurnedIn] = [$layout->square, $layout->isTopTurnedIn];
        $this->tips = array_map(fn (Length $tip): float => $tip->toMillimetres(), $layout->tips);
    }

    /** @return list<Join> the side flaps, that lie there when glue is put on the bottom flap that comes over them */
    public static function seams(string $piece): array
    {
        return array_map(fn (string $flap) => Join::under(JoinEnd::outside($piece, $flap), JoinEnd::inside($piece, Flap::BOTTOM)), self::SIDES);
    }

    /** @return list<Join> the side flaps over the bottom one, that lies there first */
    public static function pouchSeams(string $piece): array
    {
        return array_map(fn (string $flap) => Join::of(JoinEnd::inside($piece, $flap), JoinEnd::outside($piece, Flap::BOTTOM)), self::SIDES);
    }

    /** @return list<Join> the tabs of a gusset, inside the bottom one */
    public static function tabs(string $piece): array
    {
        return array_map(fn (string $side) => Join::of(JoinEnd::outside($piece, "$side-tab"), JoinEnd::inside($piece, Flap::gusset(Flap::BOTTOM))), ['left', 'right']);
    }

    /** The whole sheet with all four flaps folded in, sides first, the top last. */
    public function envelope(): Pattern
    {
        $square = $this->square;
        $builder = (new PatternBuilder)->face(Flap::FRONT, $square->centred($square->width, $square->height));
        foreach ($this->flaps($this->tips[Flap::TOP]) as $flap => $outline) {
            $builder->face($flap, $outline, FaceRole::Flap)->hinge(Flap::FRONT, $flap, 180);
        }

        return $builder
            ->twins(...self::SIDES)->joined($this->piece, self::seams($this->piece))
            ->layers(Flap::FRONT, Flap::LEFT, Flap::RIGHT, Flap::BOTTOM, Flap::TOP)
            ->build();
    }

    /** The same with the top corner left standing: it is one face with the front. */
    public function pouch(): Pattern
    {
        $flaps = $this->flaps(0.0);
        [$w, $h] = [$this->square->width / 2, $this->square->height / 2];
        $standing = array_map(fn (array $p) => [$p[0], $h + $p[1]], array_slice($this->flap(Flap::TOP, 0.0), 2));
        $corners = $this->isOpenAbove ? [[], []] : [[[$w, $h]], [[-$w, $h]]];
        $front = $this->square->polygon([[-$w, -$h], [$w, -$h], ...$corners[0], ...$standing, ...$corners[1]]);
        $builder = (new PatternBuilder)->face(Flap::FRONT, $front);
        foreach ([Flap::LEFT, Flap::RIGHT, Flap::BOTTOM] as $flap) {
            $builder->face($flap, $flaps[$flap], FaceRole::Flap)->hinge(Flap::FRONT, $flap, 180);
        }

        return $builder
            ->twins(...self::SIDES)->joined($this->piece, self::pouchSeams($this->piece))
            ->layers(Flap::FRONT, Flap::BOTTOM, Flap::LEFT, Flap::RIGHT)
            ->build();
    }

    /**
     * With a gusset all round: the front, four gussets, four flaps, and a tab in each of the lower corners. At the upper
     * corners, where it opens, the little squares between the notches are cut out.
     */
    public function deepEnvelope(): Pattern
    {
        [$w, $h, $depth] = [$this->square->width / 2, $this->square->height / 2, $this->square->depth(...)];
        $builder = (new PatternBuilder)->face(Flap::FRONT, $this->square->centred($this->square->width, $this->square->height));
        $gussets = [
            Flap::LEFT => [[-$w - $depth(Flap::LEFT), -$h], [-$w, -$h], [-$w, $h], [-$w - $depth(Flap::LEFT), $h]],
            Flap::RIGHT => [[$w, -$h], [$w + $depth(Flap::RIGHT), -$h], [$w + $depth(Flap::RIGHT), $h], [$w, $h]],
            Flap::BOTTOM => [[-$w, -$h - $depth(Flap::BOTTOM)], [$w, -$h - $depth(Flap::BOTTOM)], [$w, -$h], [-$w, -$h]],
            Flap::TOP => [[-$w, $h], [$w, $h], [$w, $h + $depth(Flap::TOP)], [-$w, $h + $depth(Flap::TOP)]],
        ];
        foreach ($gussets as $flap => $places) {
            $builder->face(Flap::gusset($flap), $this->square->polygon($places), FaceRole::Gusset);
        }
        foreach ($this->flaps($this->tips[Flap::TOP]) as $flap => $outline) {
            $gusset = Flap::gusset($flap);
            $builder->face($flap, $outline, FaceRole::Flap)->hinge(Flap::FRONT, $gusset, 90)->hinge($gusset, $flap, 90);
        }
        if ($this->isTopTurnedIn && $this->tips[Flap::TOP] > 0.0) {
            $builder->face(Tips::TOP, $this->square->polygon(array_map(fn (array $p) => [$p[0], $h + $depth(Flap::TOP) + $p[1]], $this->tip(Flap::TOP))), FaceRole::Hem)->hinge(Flap::TOP, Tips::TOP, 180);
        }
        foreach (['left' => Flap::LEFT, 'right' => Flap::RIGHT] as $side => $flap) {
            $builder->face("$side-tab", $this->tab($flap), FaceRole::Tab)
                ->hinge("$side-gusset", "$side-tab", 90)->slit("$side-tab", Flap::gusset(Flap::BOTTOM));
        }

        return $builder
            ->twins(...self::SIDES)->twins('left-gusset', 'right-gusset')->twins('left-tab', 'right-tab')
            ->joined($this->piece, [...self::seams($this->piece), ...self::tabs($this->piece)])->build();
    }

    /** The little rectangle at a lower corner of the face, as far as it lies on the sheet. */
    private function tab(string $flap): Polygon
    {
        $out = $flap === Flap::LEFT ? -1 : 1;
        [$w, $h, $s, $e] = [$this->square->width / 2, $this->square->height / 2, $this->square->depth($flap), $this->square->depth(Flap::BOTTOM)];
        // Inside the gusset it is glued to, the one from the other corner beside it.
        $e = min($e, $w);
        $over = $w + $h + ($s + $e) + $out * $this->square->offAlong - $this->square->offAcross - $this->square->diagonal() / 2;
        $corner = $over <= 0 ? [[$out * ($w + $s), -$h - $e]] : [[$out * ($w + $s), -$h - $e + $over], [$out * ($w + $s - $over), -$h - $e]];

        return $this->square->polygon([[$out * $w, -$h], [$out * ($w + $s), -$h], ...$corner, [$out * $w, -$h - $e]]);
    }

    /** @return array<string, Polygon> the four flaps, beyond the gusset where there is one, by name */
    private function flaps(float $topTrim): array
    {
        $square = $this->square;
        $side = fn (string $flap, int $out): Polygon => $square->polygon(array_map(
            fn (array $p) => [$out * ($square->width / 2 + $square->depth($flap) + $p[1]), $p[0]], $this->flap($flap, $this->tips[$flap]),
        ));
        $end = fn (string $flap, int $out, float $trim): Polygon => $square->polygon(array_map(
            fn (array $p) => [$p[0], $out * ($square->height / 2 + $square->depth($flap) + $p[1])], $this->flap($flap, $trim),
        ));

        return [
            Flap::LEFT => $side(Flap::LEFT, -1), Flap::RIGHT => $side(Flap::RIGHT, 1),
            Flap::BOTTOM => $end(Flap::BOTTOM, -1, $this->tips[Flap::BOTTOM]), Flap::TOP => $end(Flap::TOP, 1, $topTrim),
        ];
    }

    /**
     * A flap's tip beyond where it is turned in.
     *
     * @return list<array{float, float}> along the fold from the face's middle and out from it
     */
    private function tip(string $flap): array
    {
        $square = $this->square;
        [$half, $tip, $reach, $by] = [$square->width / 2, -$square->offAlong, $square->reach($flap), $this->tips[$flap]];
        [$end, $far, $near] = [$reach - $by, $reach - ($half - $tip), $reach - ($half + $tip)];
        [$isFar, $isNear] = array_map(fn (float $at): bool => $at < $end + Tolerance::SAME_POINT_MM, [$far, $near]);

        return [
            ...($isFar ? [[$tip + $by, $end]] : [[$half, $end], [$half, $far]]), [$tip, $reach],
            ...($isNear ? [[$tip - $by, $end]] : [[-$half, $near], [-$half, $end]]),
        ];
    }

    /**
     * A flap over its fold: up square to the fold, then at 45° to the tip in the sheet's corner, the tip cut off straight.
     *
     * @return list<array{float, float}> along the fold from the face's middle and out from it
     */
    private function flap(string $flap, float $trim): array
    {
        $square = $this->square;
        $isSide = in_array($flap, self::SIDES, true);
        [$half, $tip] = $isSide ? [$square->height / 2, -$square->offAcross] : [$square->width / 2, -$square->offAlong];
        $reach = $square->reach($flap);
        $end = $reach - $trim;
        // Where its edges leave the square: at the end of the fold towards the top or the right, and at the other.
        [$far, $near] = [$reach - ($half - $tip), $reach - ($half + $tip)];
        // Cut just where its side begins to slant, there is no slanted part.
        [$far, $near] = array_map(fn (float $at): float => abs($at - $end) < Tolerance::SAME_POINT_MM ? $end : $at, [$far, $near]);
        $isPoint = $trim <= 0.0 && $far < $end && $near < $end;
        // With no notch above, a side flap's fold runs on to the sheet's edge.
        $outline = $isSide && $this->isOpenAbove ? [[-$half, 0.0], [$tip + $reach, 0.0]] : [[-$half, 0.0], [$half, 0.0], ...($far < $end ? [[$half, $far]] : [])];
        if ($isPoint) {
            $slant = M_SQRT1_2;
            foreach (RoundedCorner::vertices(new Point($tip, $end), new Point($slant, -$slant), new Point(-$slant, -$slant), $this->rounding) as $vertex) {
                $outline[] = [$vertex->x, $vertex->y];
            }
        } else {
            $outline[] = $far < $end || ($isSide && $this->isOpenAbove) ? [$tip + $trim, $end] : [$half, $end];
            array_push($outline, ...($near < $end ? [[$tip - $trim, $end]] : [[-$half, $end]]));
        }
        $near < $end && $outline[] = [-$half, $near];

        return $outline;
    }
}
