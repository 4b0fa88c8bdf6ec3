<?php

declare(strict_types=1);

namespace Gimbo\Core\Added\Closure;

use Gimbo\Core\Crease\Face;
use Gimbo\Core\Crease\Folding;
use Gimbo\Core\Crease\Pattern;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\HeldShut;
use Gimbo\Core\Sheet\Flap;

/**
 * Where on the flat sheet what holds a top flap shut goes, and how large it is: half a hook-and-loop dot on both, two discs with floss
 * wound between them, a slit that the flap's end goes into, or a catch that the flap slides under.
 *
 * A dot lies where the flap and what is under it both reach furthest round it. Two discs stand their own diameter and more apart, one
 * on the flap's end and one below it. A slit is as long as the flap is wide where it goes in. A catch is a punched shape glued by its
 * lower half, so that the flap's tip slides under the upper one. Sizes and distances are common practice, no source.
 */
final class FlapHold
{
    /** A catch. */
    private const CATCH_MM = 25.4;

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
     * Null where the pattern has no top flap.
     *
     * @param string $kind dot, string, slit or catch
     * @param string $piece whose pattern it is
     * @param callable(): Folding $folded the pattern, folded; asked for only where there is something to hold shut
     * @param ?float $size across a disc or a catch, where one was asked for, mm
     */
    public static function of(string $kind, string $piece, Pattern $pattern, callable $folded, ?float $size = null): ?HeldShut
    {
        $names = array_map(fn (Face $face) => (string) $face->name, $pattern->faces);
        $flap = array_search(Flap::TOP, $names, true);
        if ($flap === false) {
            return null;
        }
        $shut = ShutFlap::of($folded(), $names, $flap);

        return match ($kind) {
            'string' => self::string($shut, $piece, $size),
            'slit' => self::slit($shut, $piece),
            'catch' => self::catch($shut, $piece, $size ?? self::CATCH_MM),
            default => self::dot($shut, $piece),
        };
    }

    /** In the middle of what lies on one another. */
    private static function dot(ShutFlap $shut, string $piece): HeldShut
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

        return self::placed('dot', $piece, $shut, $best, $best, $size, 0.0, $least + 2 * self::MARGIN_MM, max(0.0, 2 * $room));
    }

    /** The flap's disc as near its end as it has room round it; the other as far below, and clear of the end. */
    private static function string(ShutFlap $shut, string $piece, ?float $asked): HeldShut
    {
        [$least, $most] = self::DISCS_MM;
        // A disc of the size that was asked for, or as large as there is room for.
        $least = $asked ?? $least;
        $best = null;
        for ($size = $asked ?? max($least, min($most, $shut->reach / 4)); ; $size = max($least, $size * 0.9)) {
            $needed = $size / 2 + self::MARGIN_MM;
            $upper = null;
            for ($i = self::PLACES - 1; $i > 0 && $upper === null; $i--) {
                $at = $shut->reach * $i / self::PLACES;
                $upper = $shut->onFlap($at) >= $needed ? $at : null;
            }
            $lower = max($shut->reach + $needed, ($upper ?? $shut->reach) + 2 * $size);
            $room = $upper === null ? 2 * max(array_map(fn (int $i) => $shut->onFlap($shut->reach * $i / self::PLACES), range(1, self::PLACES - 1))) : 2 * max(0.0, $shut->under($lower)[1]);
            $best = self::placed('string', $piece, $shut, $upper ?? $shut->reach / 2, $lower, $size, 0.0, $size + 2 * self::MARGIN_MM, $room);
            if ($best->fit->isOk() || $size <= $least) {
                return $best;
            }
        }
    }

    /** As deep as the slit still has paper beside it, but no more than a third of the flap. */
    private static function slit(ShutFlap $shut, string $piece): HeldShut
    {
        $deepest = $shut->reach - max(self::TUCKED_MM, $shut->reach / 3);
        $found = null;
        for ($i = 0; $i <= self::PLACES; $i++) {
            $at = $deepest + ($shut->reach - self::TUCKED_MM - $deepest) * $i / self::PLACES;
            $slit = $shut->width($at) + self::EASE_MM;
            $here = self::placed('slit', $piece, $shut, $at, $at, 0.0, $slit, $slit + 2 * self::BESIDE_SLIT_MM, $shut->paperAt($at));
            if ($found === null || $here->fit->slack()->isMoreThan($found->fit->slack())) {
                $found = $here;
            }
            if ($here->fit->isOk()) {
                break;
            }
        }

        return $found;
    }

    /** Its middle at the flap's tip: the lower half is glued, the flap slides under the upper one. */
    private static function catch(ShutFlap $shut, string $piece, float $size): HeldShut
    {
        $clear = $shut->under($shut->reach)[1];

        return self::placed('catch', $piece, $shut, $shut->reach, $shut->reach, $size, 0.0, $size + 2 * self::MARGIN_MM, max(0.0, 2 * $clear));
    }

    private static function placed(string $kind, string $piece, ShutFlap $shut, float $onFlap, float $onBody, float $size, float $slit, float $need, float $have): HeldShut
    {
        $fit = Fit::plain(HeldShut::FIT, Length::nearestTo($need), Length::nearestTo($have), Length::nearestTo($need), Length::zero());
        [$face] = $shut->under($onBody);
        $isHeld = $face !== null && $fit->isOk();

        return new HeldShut(
            $kind, $piece, $shut->at($onFlap), $isHeld ? $shut->name($face) : null, $isHeld ? $shut->onFace($face, $onBody) : null, $size, $slit,
            $isHeld && $slit > 0.0 ? $shut->across($face, $onBody, $slit) : null, $fit,
        );
    }
}
