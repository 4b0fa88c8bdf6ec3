<?php

declare(strict_types=1);

namespace App\HandOn;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Exchange\StillWriter;

/** The finished thing as a small drawing for a handout, in SVG. */
final class Sketch
{
    private const INK = '#14303b';

    /** The colours a face has in full light and in shade, red, green and blue, by what it is of. */
    private const FACES = ['in' => [[250, 250, 245], [150, 160, 160]], 'out' => [[214, 226, 228], [100, 125, 132]], 'held' => [[245, 208, 150], [190, 140, 80]], 'laid' => [[204, 226, 231], [120, 150, 158]]];

    private const STROKE_SHARE = 0.012;

    public static function finished(Design $design): string
    {
        $still = StillWriter::write($design);
        $line = max($still['width'], $still['height']) * self::STROKE_SHARE / 4;
        $shapes = '';
        foreach ($still['faces'] as $face) {
            $shapes .= self::ring($face['ring'], self::shade($face['side'], $face['light'], $face['colour'] ?? null), $face['seams'] ?? [], $line);
        }

        return self::svg($still['width'], $still['height'], $shapes, $line * 2);
    }

    /**
     * @param list<array{float, float}> $ring
     * @param list<int> $seams sides on which nothing is seen
     */
    private static function ring(array $ring, string $fill, array $seams, float $width): string
    {
        $at = fn (int $i): string => sprintf('%.2F,%.2F', ...$ring[$i % count($ring)]);
        $points = implode(' ', array_map($at, array_keys($ring)));
        $stroke = sprintf('stroke="%s" stroke-width="%.2F" stroke-linejoin="round"', self::INK, $width);
        if ($seams === []) {
            return "<polygon points=\"$points\" fill=\"$fill\" $stroke/>";
        }
        $sides = array_map(fn (int $i): string => 'M'.$at($i).' L'.$at($i + 1), array_values(array_diff(array_keys($ring), $seams)));

        return "<polygon points=\"$points\" fill=\"$fill\" stroke=\"$fill\" stroke-width=\"0.4\"/><path d=\"".implode(' ', $sides)."\" fill=\"none\" $stroke/>";
    }

    private static function shade(string $side, float $light, ?string $colour): string
    {
        [$full, $shade] = self::FACES[$side] ?? self::FACES['in'];
        if ($colour !== null) {
            // Its own colour in full light, as much darker in the shade.
            $full = array_map(fn (string $part): int => (int) hexdec($part), str_split(ltrim($colour, '#'), 2));
            $shade = array_map(fn (int $bright): int => (int) round(0.55 * $bright), $full);
        }

        return vsprintf('#%02x%02x%02x', array_map(fn (int $bright, int $dark) => (int) round($dark + ($bright - $dark) * $light), $full, $shade));
    }

    private static function svg(float $width, float $height, string $shapes, float $pad): string
    {
        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%3$.2F" height="%4$.2F" viewBox="%1$.2F %1$.2F %3$.2F %4$.2F">%2$s</svg>', -$pad, $shapes, $width + 2 * $pad, $height + 2 * $pad);
    }
}
