<?php

declare(strict_types=1);

namespace Gimbo\Core\Make\Shared;

use Gimbo\Core\Crease\FaceRole;
use Gimbo\Core\Crease\Join;
use Gimbo\Core\Crease\JoinEnd;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Crease\PatternBuilder;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Sheet\Flap;
use Gimbo\Core\Sheet\TurnedLayout;
use Gimbo\Core\Sheet\TurnedSquare;

/** The patterns of the diagonal family. Frame: see TurnedSquare. */
final readonly class TurnedPattern
{
    private const SIDES = [Flap::LEFT, Flap::RIGHT];

    private TurnedSquare $square;

    private float $sideTrim;

    private float $longTrim;

    public function __construct(private string $piece, TurnedLayout $layout)
    {
        [$this->square, $this->sideTrim, $this->longTrim] = [$layout->square, $layout->sideTrim->toMillimetres(), $layout->longTrim->toMillimetres()];
    }

    /** @return list<Join> the side flaps, that lie there when glue is put on the bottom flap that comes over them */
    public static function seams(string $piece): array
    {
        return array_map(fn (string $flap) => Join::under(JoinEnd::outside($piece, $flap), JoinEnd::inside($piece, Flap::BOTTOM)), self::SIDES);
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
        foreach ($this->flaps($this->longTrim) as $flap => $outline) {
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
        [$w, $h, $reach] = [$this->square->width / 2, $this->square->height / 2, $this->square->longReach()];
        $shoulder = $reach - $w;
        $front = $this->square->polygon([[-$w, -$h], [$w, -$h], [$w, $h], [$w, $h + $shoulder], [0, $h + $reach], [-$w, $h + $shoulder], [-$w, $h]]);
        $builder = (new PatternBuilder)->face(Flap::FRONT, $front);
        foreach ([Flap::LEFT, Flap::RIGHT, Flap::BOTTOM] as $flap) {
            $builder->face($flap, $flaps[$flap], FaceRole::Flap)->hinge(Flap::FRONT, $flap, 180);
        }

        return $builder
            ->twins(...self::SIDES)->joined($this->piece, self::seams($this->piece))
            ->layers(Flap::FRONT, Flap::LEFT, Flap::RIGHT, Flap::BOTTOM)
            ->build();
    }

    /**
     * With a gusset all round: the front, four gussets, four flaps, and a tab in each of the lower corners. At the upper
     * corners, where it opens, the little squares between the notches are cut out.
     */
    public function deepEnvelope(): Pattern
    {
        [$w, $h, $s, $e] = [$this->square->width / 2, $this->square->height / 2, $this->square->sideDepth, $this->square->endDepth];
        $builder = (new PatternBuilder)->face(Flap::FRONT, $this->square->centred($this->square->width, $this->square->height));
        $gussets = [
            Flap::LEFT => [[-$w - $s, -$h], [-$w, -$h], [-$w, $h], [-$w - $s, $h]],
            Flap::RIGHT => [[$w, -$h], [$w + $s, -$h], [$w + $s, $h], [$w, $h]],
            Flap::BOTTOM => [[-$w, -$h - $e], [$w, -$h - $e], [$w, -$h], [-$w, -$h]],
            Flap::TOP => [[-$w, $h], [$w, $h], [$w, $h + $e], [-$w, $h + $e]],
        ];
        foreach ($gussets as $flap => $places) {
            $builder->face(Flap::gusset($flap), $this->square->polygon($places), FaceRole::Gusset);
        }
        foreach ($this->flaps($this->longTrim) as $flap => $outline) {
            $gusset = Flap::gusset($flap);
            $builder->face($flap, $outline, FaceRole::Flap)->hinge(Flap::FRONT, $gusset, 90)->hinge($gusset, $flap, 90);
        }
        foreach (['left' => -1, 'right' => 1] as $side => $out) {
            $builder->face("$side-tab", $this->tab($out), FaceRole::Tab)
                ->hinge("$side-gusset", "$side-tab", 90)->slit("$side-tab", Flap::gusset(Flap::BOTTOM));
        }

        return $builder
            ->twins(...self::SIDES)->twins('left-gusset', 'right-gusset')->twins('left-tab', 'right-tab')
            ->joined($this->piece, [...self::seams($this->piece), ...self::tabs($this->piece)])->build();
    }

    /** The little rectangle at a lower corner of the face, as far as it lies on the sheet. */
    private function tab(int $out): Polygon
    {
        [$w, $h, $s, $e] = [$this->square->width / 2, $this->square->height / 2, $this->square->sideDepth, $this->square->endDepth];
        // Inside the gusset it is glued to, the one from the other corner beside it.
        $e = min($e, $w);
        $over = $w + $h + ($s + $e) - $this->square->diagonal() / 2;
        $corner = $over <= 0 ? [[$out * ($w + $s), -$h - $e]] : [[$out * ($w + $s), -$h - $e + $over], [$out * ($w + $s - $over), -$h - $e]];

        return $this->square->polygon([[$out * $w, -$h], [$out * ($w + $s), -$h], ...$corner, [$out * $w, -$h - $e]]);
    }

    /** @return array<string, Polygon> the four flaps, beyond the gusset where there is one, by name */
    private function flaps(float $topTrim): array
    {
        $square = $this->square;
        [$w, $h] = [$square->width / 2 + $square->sideDepth, $square->height / 2 + $square->endDepth];
        $side = self::flap($square->height, $square->sideReach(), $this->sideTrim);
        $long = self::flap($square->width, $square->longReach(), $this->longTrim);
        $top = self::flap($square->width, $square->longReach(), $topTrim);

        return [
            Flap::LEFT => $square->polygon(array_map(fn (array $p) => [-$w - $p[1], $p[0]], $side)),
            Flap::RIGHT => $square->polygon(array_map(fn (array $p) => [$w + $p[1], $p[0]], $side)),
            Flap::BOTTOM => $square->polygon(array_map(fn (array $p) => [$p[0], -$h - $p[1]], $long)),
            Flap::TOP => $square->polygon(array_map(fn (array $p) => [$p[0], $h + $p[1]], $top)),
        ];
    }

    /**
     * A flap over a fold from -base/2 to base/2: up square to the fold, then at 45° to the tip, the tip cut off straight.
     *
     * @return list<array{float, float}> along the fold and out from it
     */
    private static function flap(float $base, float $reach, float $trim): array
    {
        $half = $base / 2;
        $end = $reach - $trim;
        $shoulder = $reach - $half;
        if ($end <= $shoulder) {
            return [[-$half, 0], [$half, 0], [$half, $end], [-$half, $end]];
        }
        $tip = $trim > 0 ? [[$trim, $end], [-$trim, $end]] : [[0.0, $reach]];

        return [[-$half, 0.0], [$half, 0.0], [$half, $shoulder], ...$tip, [-$half, $shoulder]];
    }
}
