<?php

declare(strict_types=1);

namespace Gimbo\Core\Extra;

use Gimbo\Core\Crease\Face;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Request\ClosureKind;
use Gimbo\Core\Sheet\Flap;

/**
 * Where on the flat sheet what holds a top flap shut goes, and how large it is, see ClosureKind.
 *
 * A dot lies where the flap and what is under it both reach furthest round it. Two discs stand their own diameter and more apart, one
 * on the flap's end and one below it. A slit is as long as the flap is wide where it goes in. Sizes and distances are common practice,
 * no source.
 */
final readonly class Closure
{
    /** From anything that is stuck on, or cut, to the nearest edge. */
    private const MARGIN_MM = 3.0;

    /** The smallest and the usual hook-and-loop dot. */
    private const DOTS_MM = [6.0, 12.7];

    /** The smallest and the largest disc. */
    private const DISCS_MM = [12.7, 25.4];

    /** How far a flap's end goes into its slit, at the least, and paper beside the slit. */
    private const TUCKED_MM = 8.0;

    private const BESIDE_SLIT_MM = 6.0;

    /** How much longer the slit is, so that the flap goes in. */
    private const EASE_MM = 2.0;

    /** A place is as good as found. */
    private const FINE_MM = 0.05;

    /** How finely the flap's middle line is looked along. */
    private const PLACES = 32;

    /**
     * @param Point $onFlap on the flat sheet
     * @param ?string $face what lies under it when it is shut; null where it cannot be held there
     * @param ?Point $onBody on that face, on the flat sheet
     * @param float $sizeMm across a dot or a disc; 0 for a slit
     * @param float $slitMm how long the slit for a tucked flap is; 0 for the others
     * @param Fit $fit whether there is paper for it
     */
    private function __construct(
        public ClosureKind $kind, public Point $onFlap, public ?string $face, public ?Point $onBody, public float $sizeMm, public float $slitMm, public Fit $fit,
    ) {
    }

    /**
     * Null where none is wanted, or the pattern has no top flap.
     *
     * @param callable(): Folding $folded the pattern, folded; asked for only where there is something to hold shut
     */
    public static function of(ClosureKind $kind, Pattern $pattern, callable $folded): ?self
    {
        $names = array_map(fn (Face $face) => (string) $face->name, $pattern->faces);
        $flap = $kind === ClosureKind::None ? false : array_search(Flap::TOP, $names, true);
        if ($flap === false) {
            return null;
        }
        $shut = ShutFlap::of($folded(), $names, $flap);

        return match ($kind) {
            ClosureKind::String => self::string($shut),
            ClosureKind::Tuck => self::tuck($shut),
            default => self::dot($shut),
        };
    }

    /** In the middle of what lies on one another. */
    private static function dot(ShutFlap $shut): self
    {
        [$best, $room] = [$shut->reach / 2, -INF];
        // Looked for roughly, and then ever finer about the best place.
        for ([$from, $step] = [0.0, $shut->reach / self::PLACES]; $step > self::FINE_MM; [$from, $step] = [$best - $step, 2 * $step / 8]) {
            for ($i = 1; $i < ($from > 0.0 ? 8 : self::PLACES); $i++) {
                $at = $from + $step * $i;
                $clear = min($shut->onFlap($at), $shut->under($at)[1]);
                if ($clear > $room + 1e-9) {
                    [$best, $room] = [$at, $clear];
                }
            }
        }
        [$least, $usual] = self::DOTS_MM;
        $size = max($least, min($usual, 2 * ($room - self::MARGIN_MM)));

        return self::placed(ClosureKind::Dot, $shut, $best, $best, $size, 0.0, $least + 2 * self::MARGIN_MM, max(0.0, 2 * $room));
    }

    /** The flap's disc as near its end as it has room round it; the other as far below, and clear of the end. */
    private static function string(ShutFlap $shut): self
    {
        [$least, $most] = self::DISCS_MM;
        $best = null;
        for ($size = max($least, min($most, $shut->reach / 4)); ; $size = max($least, $size * 0.9)) {
            $needed = $size / 2 + self::MARGIN_MM;
            $upper = null;
            for ($i = self::PLACES - 1; $i > 0 && $upper === null; $i--) {
                $at = $shut->reach * $i / self::PLACES;
                $upper = $shut->onFlap($at) >= $needed ? $at : null;
            }
            $lower = max($shut->reach + $needed, ($upper ?? $shut->reach) + 2 * $size);
            $room = $upper === null ? 2 * max(array_map(fn (int $i) => $shut->onFlap($shut->reach * $i / self::PLACES), range(1, self::PLACES - 1))) : 2 * max(0.0, $shut->under($lower)[1]);
            $best = self::placed(ClosureKind::String, $shut, $upper ?? $shut->reach / 2, $lower, $size, 0.0, $size + 2 * self::MARGIN_MM, $room);
            if ($best->fit->isOk() || $size <= $least) {
                return $best;
            }
        }
    }

    /** As deep as the slit still has paper beside it, but no more than a third of the flap. */
    private static function tuck(ShutFlap $shut): self
    {
        $deepest = $shut->reach - max(self::TUCKED_MM, $shut->reach / 3);
        $found = null;
        for ($i = 0; $i <= self::PLACES; $i++) {
            $at = $deepest + ($shut->reach - self::TUCKED_MM - $deepest) * $i / self::PLACES;
            $slit = $shut->width($at) + self::EASE_MM;
            $here = self::placed(ClosureKind::Tuck, $shut, $at, $at, 0.0, $slit, $slit + 2 * self::BESIDE_SLIT_MM, $shut->paperAt($at));
            if ($found === null || $here->fit->slack()->isMoreThan($found->fit->slack())) {
                $found = $here;
            }
            if ($here->fit->isOk()) {
                break;
            }
        }

        return $found;
    }

    private static function placed(ClosureKind $kind, ShutFlap $shut, float $onFlap, float $onBody, float $size, float $slit, float $need, float $have): self
    {
        $fit = Fit::plain(ClosureKind::FIT, Length::nearestTo($need), Length::nearestTo($have), Length::nearestTo($need), Length::zero());
        [$face] = $shut->under($onBody);
        $isHeld = $face !== null && $fit->isOk();

        return new self($kind, $shut->at($onFlap), $isHeld ? $shut->name($face) : null, $isHeld ? $shut->onFace($face, $onBody) : null, $size, $slit, $fit);
    }
}
