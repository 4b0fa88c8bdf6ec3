<?php

declare(strict_types=1);

namespace Gimbo\Core\Exchange;

use Gimbo\Core\Design\Piece;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use XMLWriter;

/**
 * A piece as a true-size SVG 1.1 template: one user unit is one millimetre, and so says the document's size.
 *
 * Layers are groups with the ids `glue` and `notes`, and then those of Layer in the order in which a machine must do them;
 * line style tells them apart as well as colour. y runs down, as SVG has it.
 */
final class SvgFile
{
    /** Room around the sheet for the stroke of its own outline. */
    private const MARGIN_MM = 2.0;

    private const DECIMALS = 4;

    private const AREAS = [
        'glue' => ['stroke' => 'none', 'fill' => '#c98a1b', 'fill-opacity' => '0.3'],
        'notes' => ['stroke' => '#5a6b6a', 'stroke-width' => '0.15', 'stroke-dasharray' => '0.6 0.8'],
    ];

    private const LINES = [
        'score-mountain' => ['stroke' => '#7a2e6b', 'stroke-width' => '0.3', 'stroke-dasharray' => '4 1 0.6 1'],
        'score-valley' => ['stroke' => '#0b6e6e', 'stroke-width' => '0.3', 'stroke-dasharray' => '3 1.5'],
        'cut-inside' => ['stroke' => '#16302f', 'stroke-width' => '0.3'],
        'cut-outline' => ['stroke' => '#16302f', 'stroke-width' => '0.3'],
    ];

    public static function write(Piece $piece, string $title): string
    {
        $size = $piece->sheet->width->toMillimetres();
        $high = $piece->sheet->height->toMillimetres();
        [$w, $h] = [$size + 2 * self::MARGIN_MM, $high + 2 * self::MARGIN_MM];
        $xml = new XMLWriter;
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->startDocument('1.0', 'UTF-8');
        self::element($xml, 'svg', [
            'xmlns' => 'http://www.w3.org/2000/svg', 'version' => '1.1',
            'width' => self::number($w).'mm', 'height' => self::number($h).'mm', 'viewBox' => '0 0 '.self::number($w).' '.self::number($h),
        ], function () use ($xml, $piece, $title, $high): void {
            $xml->writeElement('title', $title);
            $at = fn (Point $p): string => self::number($p->x + self::MARGIN_MM).','.self::number($high - $p->y + self::MARGIN_MM);
            foreach (['glue' => $piece->glue(), 'notes' => array_filter([$piece->contents()])] as $id => $areas) {
                self::group($xml, $id, self::AREAS[$id], fn () => array_map(fn (Polygon $area) => self::element($xml, 'polygon', ['points' => implode(' ', array_map($at, $area->points))]), $areas));
            }
            $paths = Paths::of($piece->pattern());
            foreach (Layer::cases() as $layer) {
                self::group($xml, $layer->value, self::LINES[$layer->value], fn () => array_map(
                    fn (ToolPath $path) => $path->layer === $layer && self::element($xml, 'path', ['d' => 'M '.implode(' L ', array_map($at, $path->points)).($path->isClosed ? ' Z' : '')]), $paths,
                ));
            }
        });
        $xml->endDocument();

        return $xml->outputMemory();
    }

    /**
     * @param array<string, string> $style
     * @param callable(): mixed $inside
     */
    private static function group(XMLWriter $xml, string $id, array $style, callable $inside): void
    {
        self::element($xml, 'g', ['id' => $id] + $style + ['fill' => 'none'], $inside);
    }

    /** @param array<string, string> $attributes */
    private static function element(XMLWriter $xml, string $name, array $attributes, ?callable $inside = null): bool
    {
        $xml->startElement($name);
        foreach ($attributes as $key => $value) {
            $xml->writeAttribute($key, $value);
        }
        $inside !== null && $inside();

        return $xml->endElement();
    }

    private static function number(float $value): string
    {
        return rtrim(rtrim(number_format($value, self::DECIMALS, '.', ''), '0'), '.');
    }
}
