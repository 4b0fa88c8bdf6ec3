<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Outline;

use Gimbo\Core\Document\Limit;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Exchange\DxfFile;
use Gimbo\Core\Exchange\FoldFile;
use Gimbo\Core\Exchange\SvgFile;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Geometry\Polygon;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Outline\Outline;
use Gimbo\Core\Outline\OutlineFile;
use Gimbo\Core\Outline\Simpler;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OutlineFileTest extends TestCase
{
    private const MOST = 1_048_576;

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    /** What we hand on is read back the same: outline and box of every piece, from each of the three. */
    #[DataProvider('makes')]
    public function test_what_goes_out_comes_back(string $make): void
    {
        foreach (Sizing::ofEverything()->size(['make' => $make, 'holds' => ['width' => '105 mm', 'height' => '74 mm', 'thickness' => '9 mm'], 'system' => 'metric'])->pieces as $piece) {
            $files = ['svg' => SvgFile::write($piece, 'Tern'), 'dxf' => DxfFile::write($piece), 'fold' => (string) json_encode(FoldFile::write($piece->pattern()))];
            $areas = [];
            foreach ($files as $format => $file) {
                $read = OutlineFile::read($file, null, self::MOST);
                self::assertSame($format, $read->format);
                self::assertNull($read->unit, 'the file says its unit');
                $points = $read->outline->points;
                $xs = array_map(fn ($p) => $p->x, $points);
                $ys = array_map(fn ($p) => $p->y, $points);
                $box = [max($xs), max($ys)];
                self::assertEqualsWithDelta([min($xs), min($ys)], [0.0, 0.0], 0.001);
                self::assertEqualsWithDelta([$read->outline->width->toMillimetres(), $read->outline->height->toMillimetres()], $box, 0.11);
                $areas[$format] = Polygon::of($points)->area();
            }
            self::assertEqualsWithDelta($areas['fold'], $areas['svg'], 0.5);
            self::assertEqualsWithDelta($areas['fold'], $areas['dxf'], 0.5);
        }
    }

    /** @return iterable<string, array{string, string, string}> attributes, contents, and the size, from the SVG 1.1 recommendation's own words */
    public static function svgs(): iterable
    {
        $mm = 'width="200mm" height="100mm" viewBox="0 0 200 100"';
        yield 'a rectangle' => [$mm, '<rect x="10" y="10" width="105" height="74"/>', '105 × 74'];
        yield 'rounded' => [$mm, '<rect x="10" y="10" width="105" height="74" rx="12"/>', '105 × 74'];
        yield 'a circle' => [$mm, '<circle cx="50" cy="50" r="30"/>', '60 × 60'];
        yield 'an ellipse, turned by a quarter' => [$mm, '<ellipse cx="0" cy="0" rx="40" ry="20" transform="translate(90 50) rotate(90)"/>', '40 × 80'];
        yield 'relative lines' => [$mm, '<path d="m10,10 60,0 v40 h-60 z"/>', '60 × 40'];
        yield 'numbers that touch' => [$mm, '<path d="M.5.5L60.5.5 60.5-9.5.5-9.5Z"/>', '60 × 10'];
        yield 'two half circles, flags that touch' => [$mm, '<path d="M10 50a20,20 0 1130,0a15 15 0 01-30 0z"/>', '40 × 48.3'];
        yield 'smooth cubics: a full lens' => [$mm, '<path d="M0 50C0 0 100 0 100 50S0 100 0 50Z"/>', '100 × 75'];
        yield 'smooth quadratics' => [$mm, '<path d="M0 50Q25 0 50 50T100 50V90H0Z"/>', '100 × 65'];
        yield 'a polygon in a scaled group' => [$mm, '<g transform="scale(2)"><g transform="translate(5,5)"><polygon points="0,0 30,0 30,20 0 20"/></g></g>', '60 × 40'];
        yield 'skewed' => [$mm, '<rect width="20" height="20" transform="skewX(45)"/>', '40 × 20'];
        yield 'four lines that meet' => [$mm, '<line x2="50"/><path d="M50 30 V0"/><path d="M0 0V30"/><line x1="0" y1="30" x2="50" y2="30"/>', '50 × 30'];
        yield 'only the largest counts' => [$mm, '<rect width="50" height="30"/><rect x="10" y="10" width="5" height="5"/><text>big</text><defs><rect width="190" height="90"/></defs><rect style="display: none" width="150" height="90"/>', '50 × 30'];
        yield 'drawn again twice, half as large' => [$mm, '<defs><path id="a" d="M0 0H100V60H0Z"/></defs><use href="#a" x="10" transform="scale(.5)"/><use xmlns:l="http://www.w3.org/1999/xlink" xlink:href="#a" xmlns:xlink="http://www.w3.org/1999/xlink" transform="scale(.4)"/>', '50 × 30'];
        yield 'a symbol as large as goes in' => [$mm, '<symbol id="tern" viewBox="5 5 10 10"><rect x="5" y="5" width="10" height="8"/></symbol><use href="#tern" width="80" height="60"/>', '60 × 48'];
        yield 'a group that is defined later' => [$mm, '<use href="#later"/><defs><g id="later"><rect width="50" height="30"/></g></defs>', '50 × 30'];
        yield 'a document within' => [$mm, '<svg x="10" y="10" width="50" height="50" viewBox="0 0 100 100"><rect width="80" height="60"/></svg>', '40 × 30'];
        yield 'what is used and not there' => [$mm, '<use href="#gone"/><use/><rect width="50" height="30"/>', '50 × 30'];
        yield 'inches, and no viewBox: pixels of 1/96 in' => ['width="6in" height="5in"', '<rect width="528" height="408"/>', '139.7 × 107.95'];
        yield 'points' => ['width="288pt" height="144pt" viewBox="0 0 288 144"', '<rect width="144" height="72"/>', '50.8 × 25.4'];
        yield 'a drawing scaled to half' => ['width="100mm" height="50mm" viewBox="0 0 200 100"', '<rect width="200" height="100"/>', '100 × 50'];
    }

    #[DataProvider('svgs')]
    public function test_svg_shapes_have_their_size(string $attributes, string $inside, string $size): void
    {
        $outline = OutlineFile::read("<?xml version=\"1.0\"?>\n<svg xmlns=\"http://www.w3.org/2000/svg\" $attributes>$inside</svg>", null, self::MOST)->outline;
        self::assertSame($size, self::sizeOf($outline));
    }

    /** @return iterable<string, array{string, ?string, string}> the entities, the unit said, and the size: group codes of the DXF reference, from memory */
    public static function dxfs(): iterable
    {
        yield 'lines in any order and direction' => [self::dxf('LINE', [10 => 0, 20 => 0, 11 => 50, 21 => 0]).self::dxf('LINE', [10 => 0, 20 => 30, 11 => 0, 21 => 0]).self::dxf('LINE', [10 => 0, 20 => 30, 11 => 50, 21 => 30]).self::dxf('LINE', [10 => 50, 20 => 30, 11 => 50, 21 => 0]), null, '50 × 30'];
        yield 'a circle' => [self::dxf('CIRCLE', [10 => 5, 20 => 5, 40 => 25.4]), null, '50.8 × 50.8'];
        yield 'a stadium with bulges' => [self::dxf('LWPOLYLINE', [90 => 4, 70 => 1])."10\n0\n20\n0\n10\n40\n20\n0\n42\n1\n10\n40\n20\n20\n10\n0\n20\n20\n42\n1\n", null, '60 × 20'];
        yield 'an old polyline with vertices' => [self::dxf('POLYLINE', [66 => 1, 10 => 0, 20 => 0, 70 => 1]).self::dxf('VERTEX', [10 => 0, 20 => 0]).self::dxf('VERTEX', [10 => 30, 20 => 0, 42 => -1]).self::dxf('VERTEX', [10 => 30, 20 => 30]).self::dxf('SEQEND', []), null, '30 × 30'];
        yield 'a half circle and its chord' => [self::dxf('ARC', [10 => 0, 20 => 0, 40 => 20, 50 => 0, 51 => 180]).self::dxf('LINE', [10 => -20, 20 => 0, 11 => 20, 21 => 0]), null, '40 × 20'];
        yield 'an ellipse' => [self::dxf('ELLIPSE', [10 => 0, 20 => 0, 11 => 0, 21 => 30, 40 => 0.5, 41 => 0, 42 => 6.283185307]), null, '30 × 60'];
        // A parabola reaches half its middle point's height.
        yield 'a spline and its chord' => [self::spline(2, [0, 0, 0, 1, 1, 1], [[0, 0], [30, 40], [60, 0]]).self::dxf('LINE', [10 => 60, 20 => 0, 11 => 0, 21 => 0]), null, '60 × 20'];
        // From middle to middle of its control polygon's sides; the last parabola, 50 to 35 by way of 60, is highest at 2/7: 52.857.
        yield 'a spline whose knots do not gather at its ends' => [self::spline(2, [0, 1, 2, 3, 4, 5, 6, 7], [[0, 0], [20, 50], [40, 40], [70, 60], [80, 10]]).self::dxf('LINE', [10 => 75, 20 => 35, 11 => 10, 21 => 25]), null, '65 × 27.9'];
        // A circle of nine weighted points (Piegl and Tiller, 7.5).
        yield 'a circle as a rational spline' => [self::spline(2, [0, 0, 0, 1, 1, 2, 2, 3, 3, 4, 4, 4], [[25, 0], [25, 25], [0, 25], [-25, 25], [-25, 0], [-25, -25], [0, -25], [25, -25], [25, 0]], [1, M_SQRT1_2, 1, M_SQRT1_2, 1, M_SQRT1_2, 1, M_SQRT1_2, 1]), null, '50 × 50'];
        yield 'through its points only' => [self::dxf('SPLINE', [70 => 1, 71 => 3, 72 => 0, 73 => 0, 74 => 3])."11\n0\n21\n0\n11\n50\n21\n0\n11\n50\n21\n30\n", null, '50 × 30'];
        yield 'on the paper’s own space' => [self::dxf('CIRCLE', [67 => 1, 10 => 0, 20 => 0, 40 => 90]).self::dxf('CIRCLE', [10 => 5, 20 => 5, 40 => 25]), null, '50 × 50'];
    }

    #[DataProvider('dxfs')]
    public function test_dxf_entities_have_their_size(string $entities, ?string $unit, string $size): void
    {
        $file = "0\nSECTION\n2\nHEADER\n9\n\$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n{$entities}0\nENDSEC\n0\nEOF\n";
        self::assertSame($size, self::sizeOf(OutlineFile::read($file, $unit, self::MOST)->outline));
    }

    /** @return iterable<string, array{string, string}> where a block of 20 × 10 about its base point is put in, and the size */
    public static function inserts(): iterable
    {
        yield 'once, twice as wide' => [self::dxf('INSERT', [2 => 'TERN', 10 => 5, 20 => 5, 41 => 2]), '40 × 10'];
        yield 'turned' => [self::dxf('INSERT', [2 => 'TERN', 10 => 5, 20 => 5, 50 => 90]), '10 × 20'];
        yield 'within another' => [self::dxf('INSERT', [2 => 'NEST', 10 => 0, 20 => 0, 42 => 3]), '20 × 30'];
        yield 'only the block itself is not drawn' => [self::dxf('CIRCLE', [10 => 0, 20 => 0, 40 => 5]), '10 × 10'];
        yield 'a block that is not there' => [self::dxf('INSERT', [2 => 'GONE', 10 => 0, 20 => 0]).self::dxf('CIRCLE', [10 => 0, 20 => 0, 40 => 5]), '10 × 10'];
        yield 'a block that holds itself' => [self::dxf('INSERT', [2 => 'SELF', 10 => 0, 20 => 0]), '20 × 10'];
    }

    #[DataProvider('inserts')]
    public function test_dxf_blocks_are_put_in(string $entities, string $size): void
    {
        $box = self::dxf('LWPOLYLINE', [90 => 4, 70 => 1])."10\n3\n20\n4\n10\n23\n20\n4\n10\n23\n20\n14\n10\n3\n20\n14\n";
        $block = fn (string $name, string $in): string => self::dxf('BLOCK', [2 => $name, 10 => 3, 20 => 4]).$in.self::dxf('ENDBLK', []);
        $blocks = $block('TERN', $box).$block('NEST', self::dxf('INSERT', [2 => 'TERN', 10 => 3, 20 => 4])).$block('SELF', $box.self::dxf('INSERT', [2 => 'SELF', 10 => 0, 20 => 0]));
        $file = "0\nSECTION\n2\nBLOCKS\n{$blocks}0\nENDSEC\n0\nSECTION\n2\nENTITIES\n{$entities}0\nENDSEC\n0\nEOF\n";
        self::assertSame($size, self::sizeOf(OutlineFile::read($file, 'mm', self::MOST)->outline));
    }

    /** @return iterable<string, array{string, string}> a file that does not say its unit, and what of it is 4 1/4 in when it is inches */
    public static function unitless(): iterable
    {
        yield 'DXF' => ["0\nSECTION\n2\nENTITIES\n".self::dxf('CIRCLE', [10 => 0, 20 => 0, 40 => 2.125])."0\nENDSEC\n0\nEOF\n", 'dxf'];
        yield 'SVG' => ['<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><circle r="2.125"/></svg>', 'svg'];
        yield 'FOLD' => ['{"vertices_coords":[[0,0],[4.25,0],[4.25,4.25],[0,4.25]],"edges_vertices":[[0,1],[1,2],[2,3],[3,0]],"edges_assignment":["B","B","B","B"]}', 'fold'];
    }

    #[DataProvider('unitless')]
    public function test_the_unit_is_asked_for_where_the_file_does_not_say(string $file, string $format): void
    {
        try {
            OutlineFile::read($file, null, self::MOST);
            self::fail('The unit must be asked for.');
        } catch (InvalidDocument $error) {
            self::assertSame(['/unit', 'outline.unit'], [$error->problems[0]->at, $error->problems[0]->reason->code]);
        }
        $read = OutlineFile::read($file, 'in', self::MOST);
        self::assertSame([$format, 'in'], [$read->format, $read->unit]);
        self::assertEqualsWithDelta(4.25, $read->outline->width->toInches(), 0.005);
        self::assertSame('4.3 × 4.3', self::sizeOf(OutlineFile::read($file, 'mm', self::MOST)->outline));
    }

    /** @return iterable<string, array{string, string}> the file, and the reason it is refused with */
    public static function bad(): iterable
    {
        $svg = fn (string $inside, string $before = ''): string => "$before<svg xmlns=\"http://www.w3.org/2000/svg\" xmlns:xlink=\"http://www.w3.org/1999/xlink\" width=\"100mm\" viewBox=\"0 0 100 100\">$inside</svg>";
        $bomb = '<!DOCTYPE svg [<!ENTITY a "lol"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;"><!ENTITY c "&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;">]>';
        yield 'entity expansion' => [$svg('<text>&c;</text><rect width="9" height="9"/>', $bomb), 'outline.entities'];
        yield 'an entity from a file' => [$svg('<text>&x;</text>', '<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>'), 'outline.entities'];
        yield 'a script' => [$svg('<script>alert(1)</script><rect width="9" height="9"/>'), 'outline.script'];
        yield 'a script in an attribute' => [$svg('<rect width="9" height="9" onload="alert(1)"/>'), 'outline.script'];
        yield 'a script in a link' => [$svg('<a xlink:href=" javascript:alert(1)"><rect width="9" height="9"/></a>'), 'outline.script'];
        yield 'a page within' => [$svg('<foreignObject><b/></foreignObject>'), 'outline.script'];
        yield 'not closed' => ['<svg xmlns="http://www.w3.org/2000/svg" width="100mm"><rect', 'outline.svg'];
        yield 'not SVG' => ['<html><body/></html>', 'outline.svg'];
        yield 'sixteen bits a letter' => [(string) mb_convert_encoding($svg('<rect width="9" height="9"/>'), 'UTF-16', 'UTF-8'), 'outline.foreign'];
        yield 'only open lines' => [$svg('<line x2="50"/>'), 'outline.open'];
        yield 'nothing' => [$svg(''), 'outline.open'];
        yield 'a group that uses itself' => [$svg('<g id="a"><rect width="9" height="9"/><use href="#a"/></g>'), 'outline.svg'];
        yield 'doubled over and over by use' => [$svg(implode('', array_map(fn (int $i) => "<g id=\"g$i\"><use href=\"#g".($i + 1).'"/><use href="#g'.($i + 1).'"/></g>', range(0, 40))).'<rect id="g41" width="9" height="9"/>'), 'outline.too-much'];
        yield 'groups of nothing, used again and again' => [$svg('<g id="a">'.str_repeat('<g/>', 5000).'</g>'.str_repeat('<use href="#a"/>', 5000)), 'outline.too-much'];
        yield 'curves without end' => [$svg(str_repeat('<circle r="99000"/>', 2000)), 'outline.too-much'];
        yield 'a path that is none' => [$svg('<path d="M0 0 L 10 oops"/>'), 'outline.path'];
        yield 'an arc cut short' => [$svg('<path d="M0 0 A 10 10 0 1"/>'), 'outline.path'];
        yield 'as large as a house' => [$svg('<rect width="90000" height="90000"/>'), 'outline.size'];
        yield 'numbers without end' => [$svg('<rect width="1e308" height="1e308"/>'), 'outline.far'];
        yield 'a radius beyond all numbers' => [$svg('<circle r="1e300"/>'), 'outline.far'];
        yield 'more attributes than anything has' => [$svg('<rect '.implode(' ', array_map(fn (int $i) => "a$i=''", range(0, 45_000))).'/>'), 'outline.too-much'];
        yield 'a comment without end' => ['<svg xmlns="http://www.w3.org/2000/svg"><!--'.str_repeat('<', 400_000), 'outline.svg'];
        yield 'curves upon curves in one path' => [$svg('<path d="M0 0'.str_repeat('C9999 0 0 9999 5 5M1 1', 20_000).'"/>'), 'outline.too-much'];
        yield 'one long attribute drawn again and again' => [$svg('<defs><g id="g" style="'.str_repeat('x', 100_000).'"><rect width="1" height="1"/></g></defs>'.str_repeat('<use href="#g"/>', 9000)), 'outline.too-much'];
        yield 'to and fro, everywhere' => [$svg('<polygon transform="scale(0.2)" points="'.implode(' ', array_map(fn (int $i) => round(1000 + 900 * cos($i)).','.round(1000 + 900 * sin($i)), range(0, 20_000))).'"/>'), 'outline.too-much'];
        yield 'an empty file' => ['', 'outline.foreign'];
        yield 'an archive' => ["PK\x03\x04\0\0", 'outline.foreign'];
        yield 'a picture' => ["\x89PNG\r\n\x1a\n", 'outline.foreign'];
        yield 'DXF whose codes are none' => ["0\nSECTION\n2\nENTITIES\nzero\nLINE\n", 'outline.dxf'];
        yield 'DXF with a word for a number' => ["0\nSECTION\n2\nHEADER\n9\n\$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n".self::dxf('CIRCLE', [10 => 0, 20 => 0]).self::dxf('LINE', [10 => 'wide', 20 => 0]), 'outline.number'];
        $entities = fn (string $of): string => "0\nSECTION\n2\nHEADER\n9\n\$INSUNITS\n70\n4\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n$of";
        yield 'a spline with a knot too few' => [$entities(self::spline(2, [0, 0, 0, 1, 1], [[0, 0], [30, 40], [60, 0]])), 'outline.spline'];
        yield 'a spline whose knots fall' => [$entities(self::spline(2, [0, 0, 1, 0, 1, 1], [[0, 0], [30, 40], [60, 0]])), 'outline.spline'];
        yield 'a spline without weight' => [$entities(self::spline(2, [0, 0, 0, 1, 1, 1], [[0, 0], [30, 40], [60, 0]], [1, 0, 1])), 'outline.spline'];
        yield 'a million of one block' => [$entities(self::dxf('INSERT', [2 => 'TERN', 70 => 1000, 71 => 1000])), 'outline.too-much'];
        $nest = fn (int $i): string => self::dxf('BLOCK', [2 => "B$i", 10 => 0, 20 => 0]).str_repeat(self::dxf('INSERT', [2 => 'B'.($i + 1)]), 40).self::dxf('ENDBLK', []);
        yield 'a polyline of nothing but large arcs' => [$entities(self::dxf('LWPOLYLINE', [70 => 1]).str_repeat("10\n0\n20\n0\n42\n1\n10\n99000\n20\n0\n42\n1\n", 2000)), 'outline.too-much'];
        yield 'rows of nothing, over and over' => [$entities(str_repeat(self::dxf('INSERT', [2 => 'TERN', 70 => 200, 71 => 200]), 2)), 'outline.too-much'];
        yield 'blocks of nothing but blocks' => ["0\nSECTION\n2\nBLOCKS\n".implode('', array_map($nest, range(0, 10)))."0\nENDSEC\n".$entities(self::dxf('INSERT', [2 => 'B0'])), 'outline.too-much'];
        yield 'rows and columns beyond all numbers' => [$entities(self::dxf('INSERT', [2 => 'TERN', 70 => 1e300, 71 => 1e300])), 'outline.too-much'];
        yield 'FOLD without edges' => ['{"vertices_coords":[[0,0]],"frame_unit":"mm"}', 'outline.fold'];
        yield 'FOLD with an edge to nowhere' => ['{"vertices_coords":[[0,0],[1,1]],"edges_vertices":[[0,7]],"edges_assignment":["B"],"frame_unit":"mm"}', 'outline.fold'];
        yield 'JSON that is cut short' => ['{"vertices_coords":[[0,0', 'document.not-json'];
        yield 'far too large' => [str_repeat(' ', self::MOST + 1), 'document.too-large'];
        yield 'too many shapes' => [$svg(str_repeat('<g/><line x2="1"/>', 50_001)), 'outline.too-much'];
        yield 'too many lines' => ["0\nSECTION\n2\nENTITIES\n".str_repeat("0\nLINE\n", 50_001), 'outline.too-much'];
    }

    #[DataProvider('bad')]
    public function test_what_cannot_be_read_is_refused_with_a_reason(string $file, string $reason): void
    {
        $before = memory_get_usage();
        try {
            OutlineFile::read($file, null, self::MOST);
            self::fail('It must be refused.');
        } catch (InvalidDocument $error) {
            self::assertSame($reason, $error->problems[0]->reason->code);
        }
        self::assertLessThan(32 << 20, memory_get_usage() - $before, 'nothing of it is kept');
    }

    public function test_a_very_detailed_outline_keeps_its_shape_in_few_points(): void
    {
        $points = [];
        for ($i = 0; $i < 8000; $i++) {
            $angle = 2 * M_PI * $i / 8000;
            $radius = 40 + 3 * sin(9 * $angle);
            $points[] = sprintf('%.4F,%.4F', 50 + $radius * cos($angle), 50 + $radius * sin($angle));
        }
        $outline = OutlineFile::read('<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 100"><polygon points="'.implode(' ', $points).'"/></svg>', null, self::MOST)->outline;
        self::assertLessThanOrEqual(Limit::OUTLINE_POINTS, count($outline->points));
        // The area of r = a + b sin 9φ is π (a² + b²/2).
        self::assertEqualsWithDelta(M_PI * (40 ** 2 + 3 ** 2 / 2), Polygon::of($outline->points)->area(), 8.0);
    }

    /** @param array<int, int|float|string> $codes */
    private static function dxf(string $type, array $codes): string
    {
        return "0\n$type\n".implode('', array_map(fn (int $code, int|float|string $value) => "$code\n$value\n", array_keys($codes), $codes));
    }

    /**
     * @param list<int> $knots
     * @param list<array{int, int}> $points
     * @param list<float|int> $weights
     */
    private static function spline(int $degree, array $knots, array $points, array $weights = []): string
    {
        $text = self::dxf('SPLINE', [70 => 8, 71 => $degree, 72 => count($knots), 73 => count($points), 74 => 0]);
        $text .= implode('', array_map(fn (int $knot) => "40\n$knot\n", $knots)).implode('', array_map(fn (float|int $weight) => "41\n$weight\n", $weights));

        return $text.implode('', array_map(fn (array $point) => "10\n$point[0]\n20\n$point[1]\n30\n0\n", $points));
    }

    private static function sizeOf(Outline $outline): string
    {
        return round($outline->width->toMillimetres(), 2).' × '.round($outline->height->toMillimetres(), 2);
    }

    /**
     * @param callable(int): float $radius
     * @return list<Point>
     */
    private static function round(int $n, callable $radius): array
    {
        return array_map(fn (int $i) => new Point($radius($i) * cos(2 * M_PI * $i / $n), $radius($i) * sin(2 * M_PI * $i / $n)), range(0, $n - 1));
    }

    /** @return iterable<string, array{list<Point>}> */
    public static function rings(): iterable
    {
        yield 'a circle' => [self::round(2000, fn () => 40.0)];
        yield 'a circle with a shake' => [self::round(2000, fn (int $i) => 40 + 0.009 * sin($i * 2.3))];
        yield 'a star' => [self::round(60, fn (int $i) => $i % 2 ? 40.0 : 15.0)];
        yield 'a coast' => [self::round(300, fn (int $i) => 40 + 5 * sin($i * 0.31) + 2 * sin($i * 0.77))];
        yield 'a spike there and back' => [[new Point(0, 0), new Point(50, 0), new Point(100, 0), new Point(50, 0.001), new Point(50, 50), new Point(0, 50)]];
    }

    /** @param non-empty-list<Point> $ring */
    #[DataProvider('rings')]
    public function test_what_is_left_out_of_a_ring_lies_as_near_to_it_as_asked(array $ring): void
    {
        $simple = Simpler::ring($ring, Outline::TRUE_TO_MM, 400);
        self::assertLessThanOrEqual(400, count($simple));
        $count = count($simple);
        foreach ($ring as $point) {
            $nearest = INF;
            foreach ($simple as $i => $from) {
                $along = $simple[($i + 1) % $count]->minus($from);
                $share = max(0.0, min(1.0, $along->dot($point->minus($from)) / max(1e-12, $along->dot($along))));
                $nearest = min($nearest, $point->minus($from->plus($along->times($share)))->length());
            }
            self::assertLessThanOrEqual(Outline::TRUE_TO_MM + 1e-9, $nearest);
        }
    }
}
