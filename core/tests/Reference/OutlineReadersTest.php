<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Outline\OutlineFile;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Outlines we read, against librsvg's picture of the same SVG (Debian package librsvg2-bin) and ezdxf's box of the same DXF. */
final class OutlineReadersTest extends TestCase
{
    private const PIXELS_PER_MM = 20;

    /** @return iterable<string, array{string}> */
    public static function shapes(): iterable
    {
        yield 'a leaf of cubics' => ['<path d="M20 60C20 10 90 5 95 50S40 95 20 60z"/>'];
        yield 'quadratics that go on' => ['<path d="M10 50Q25 5 40 50T70 45T90 60V90H10Z"/>'];
        yield 'an arc of a turned ellipse' => ['<path d="M20 50A35 18 30 1 1 70 60L40 80z"/>'];
        yield 'an arc too small for its ends' => ['<path d="M20 50A5 5 0 0 1 80 50Z"/>'];
        yield 'the small arc, the other way' => ['<path d="M20 40a40 30 20 0 0 50 20h-40z"/>'];
        yield 'a rounded rectangle, skewed' => ['<rect x="10" y="20" width="50" height="40" rx="10" ry="5" transform="skewX(20)"/>'];
        yield 'an ellipse under two transforms' => ['<g transform="translate(50 50) rotate(35)"><ellipse rx="30" ry="12" transform="scale(1.2 .9)"/></g>'];
        yield 'turned about a point' => ['<polygon points="30,30 70,30 50,70" transform="rotate(17 50 50)"/>'];
        yield 'a symbol put in' => ['<symbol id="tern" viewBox="0 0 40 20" overflow="visible"><rect width="40" height="20" rx="4"/></symbol><use href="#tern" x="30" y="50" width="40" height="40"/>'];
        yield 'a leaf drawn again, turned' => ['<defs><path id="leaf" d="M0 0C10 -20 30 -20 40 0S10 20 0 0z"/></defs><use href="#leaf" x="30" y="10" transform="rotate(40)"/>'];
        yield 'a document within' => ['<svg x="15" y="12" width="70" height="50" viewBox="-5 -5 50 50" overflow="visible"><ellipse cx="20" cy="20" rx="18" ry="12"/></svg>'];
        yield 'a matrix' => ['<circle cx="20" cy="20" r="15" transform="matrix(1.5 .3 -.4 1.2 15 5)"/>'];
    }

    #[DataProvider('shapes')]
    public function test_svg_fills_the_same_box_as_a_renderer_paints(string $shape): void
    {
        $svg = "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"100mm\" height=\"100mm\" viewBox=\"0 0 100 100\">$shape</svg>";
        $image = imagecreatefromstring(Program::answer(['rsvg-convert', '-w', (string) (100 * self::PIXELS_PER_MM), '-f', 'png'], $svg));
        self::assertNotFalse($image);
        [$left, $right, $top, $bottom] = [PHP_INT_MAX, -1, PHP_INT_MAX, -1];
        for ($y = 0; $y < imagesy($image); $y++) {
            for ($x = 0; $x < imagesx($image); $x++) {
                // Painted at all: alpha is 127 where it is not.
                if (((int) imagecolorat($image, $x, $y) >> 24 & 0x7F) < 127) {
                    [$left, $right, $top, $bottom] = [min($left, $x), max($right, $x), min($top, $y), max($bottom, $y)];
                }
            }
        }
        $points = OutlineFile::read($svg, null, 1 << 20)->outline->points;
        $box = [max(array_map(fn ($p) => $p->x, $points)), max(array_map(fn ($p) => $p->y, $points))];
        self::assertEqualsWithDelta([($right - $left + 1) / self::PIXELS_PER_MM, ($bottom - $top + 1) / self::PIXELS_PER_MM], $box, 0.1);
    }

    /** @return iterable<string, array{string}> */
    public static function drawings(): iterable
    {
        $bulged = fn (float $bulge): string => "0\nLWPOLYLINE\n8\n0\n100\nAcDbEntity\n100\nAcDbPolyline\n90\n4\n70\n1\n10\n5\n20\n7\n10\n65\n20\n7\n42\n$bulge\n10\n65\n20\n47\n10\n5\n20\n47\n42\n0.3\n";
        yield 'a side bulged out' => [$bulged(0.4)];
        yield 'a side bulged in' => [$bulged(-0.4)];
        yield 'more than half a circle' => [$bulged(1.6)];
        yield 'an old polyline' => ["0\nPOLYLINE\n8\n0\n66\n1\n70\n1\n0\nVERTEX\n8\n0\n10\n0\n20\n0\n42\n0.7\n0\nVERTEX\n8\n0\n10\n40\n20\n10\n0\nVERTEX\n8\n0\n10\n20\n20\n50\n0\nSEQEND\n8\n0\n"];
        yield 'an arc over the zero of its angles, and its chord' => ["0\nARC\n8\n0\n10\n0\n20\n0\n40\n30\n50\n300\n51\n60\n0\nLINE\n8\n0\n10\n15\n20\n25.980762\n11\n15\n21\n-25.980762\n"];
        $chord = "0\nLINE\n8\n0\n10\n80\n20\n10\n11\n0\n21\n0\n";
        yield 'a cubic spline of three spans' => [self::spline(8, 3, [0, 0, 0, 0, 1, 2.5, 3, 3, 3, 3], [[0, 0], [5, 60], [35, -20], [60, 70], [95, 30], [80, 10]]).$chord];
        yield 'a spline whose weights pull' => [self::spline(12, 3, [0, 0, 0, 0, 1, 1, 1, 1], [[0, 0], [10, 60], [70, 60], [80, 10]], [1, 4, 0.3, 1]).$chord];
        yield 'a spline with a corner' => [self::spline(8, 2, [0, 0, 0, 1, 1, 2, 2, 2], [[0, 0], [20, 50], [40, 40], [70, 60], [80, 10]]).$chord];
        yield 'seen from below' => ["0\nLWPOLYLINE\n8\n0\n100\nAcDbEntity\n100\nAcDbPolyline\n90\n3\n70\n1\n10\n5\n20\n7\n42\n0.4\n10\n65\n20\n17\n10\n30\n20\n47\n210\n0\n220\n0\n230\n-1\n"];
        yield 'a turned ellipse' => ["0\nELLIPSE\n8\n0\n100\nAcDbEntity\n100\nAcDbEllipse\n10\n50\n20\n50\n30\n0\n11\n30\n21\n20\n31\n0\n40\n0.4\n41\n0\n42\n6.283185307\n"];
    }

    #[DataProvider('drawings')]
    public function test_dxf_fills_the_same_box_as_another_reader_says(string $entities): void
    {
        self::assertSameBox("0\nSECTION\n2\nENTITIES\n{$entities}0\nENDSEC\n");
    }

    /**
     * @param list<float|int> $knots
     * @param list<array{int, int}> $points
     * @param list<float|int> $weights
     */
    private static function spline(int $flags, int $degree, array $knots, array $points, array $weights = []): string
    {
        return "0\nSPLINE\n8\n0\n100\nAcDbEntity\n100\nAcDbSpline\n70\n$flags\n71\n$degree\n72\n".count($knots)."\n73\n".count($points)."\n74\n0\n"
            .implode('', array_map(fn (float|int $k) => "40\n$k\n", $knots)).implode('', array_map(fn (float|int $w) => "41\n$w\n", $weights))
            .implode('', array_map(fn (array $p) => "10\n$p[0]\n20\n$p[1]\n30\n0\n", $points));
    }

    /** @return iterable<string, array{string}> how a block is put in */
    public static function places(): iterable
    {
        yield 'stretched and turned' => ["10\n20\n20\n30\n41\n2\n42\n0.5\n50\n25\n"];
        yield 'mirrored' => ["10\n20\n20\n30\n41\n-1.5\n50\n-70\n"];
        yield 'seen from below' => ["10\n20\n20\n30\n50\n25\n210\n0\n220\n0\n230\n-1\n"];
    }

    #[DataProvider('places')]
    public function test_dxf_blocks_fill_the_same_box_as_another_reader_says(string $place): void
    {
        $block = "0\nBLOCK\n8\n0\n2\nTERN\n70\n0\n10\n5\n20\n3\n30\n0\n3\nTERN\n1\n\n0\nPOLYLINE\n8\n0\n66\n1\n70\n1\n0\nVERTEX\n8\n0\n10\n0\n20\n0\n42\n0.7\n0\nVERTEX\n8\n0\n10\n40\n20\n10\n0\nVERTEX\n8\n0\n10\n20\n20\n50\n0\nSEQEND\n8\n0\n0\nENDBLK\n8\n0\n";
        self::assertSameBox("0\nSECTION\n2\nBLOCKS\n{$block}0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nINSERT\n8\n0\n2\nTERN\n{$place}0\nENDSEC\n");
    }

    private static function assertSameBox(string $sections): void
    {
        $dxf = "0\nSECTION\n2\nHEADER\n9\n\$ACADVER\n1\nAC1015\n9\n\$INSUNITS\n70\n4\n0\nENDSEC\n{$sections}0\nEOF\n";
        $theirs = json_decode(Program::answer(['/usr/bin/python3', __DIR__.'/dxf_box.py'], $dxf), true, 3, JSON_THROW_ON_ERROR);
        $points = OutlineFile::read($dxf, null, 1 << 20)->outline->points;
        self::assertEqualsWithDelta($theirs, [max(array_map(fn ($p) => $p->x, $points)), max(array_map(fn ($p) => $p->y, $points))], 0.05);
    }
}
