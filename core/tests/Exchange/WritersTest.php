<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Exchange;

use DOMDocument;
use DOMElement;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\SvgFile;
use Gimbo\Core\Exchange\ThumbnailWriter;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\TestCase;

final class WritersTest extends TestCase
{
    public function test_svg_has_a_named_layer_for_each_kind_of_line(): void
    {
        $svg = self::svg(self::piece());
        $layers = [];
        foreach ($svg->getElementsByTagName('g') as $group) {
            $layers[$group->getAttribute('id')] = $group->childNodes->length;
        }
        self::assertSame(['glue', 'notes', 'score-mountain', 'score-valley', 'cut-inside', 'cut-outline'], array_keys($layers));
        self::assertSame('1.1', $svg->documentElement?->getAttribute('version'));
    }

    /** SVG 1.1, 7.2: width and height in mm with an equally large viewBox make one user unit a millimetre. */
    public function test_svg_lines_are_as_long_in_millimetres_as_the_pattern_says(): void
    {
        $piece = self::piece();
        $svg = self::svg($piece);
        $root = $svg->documentElement;
        self::assertInstanceOf(DOMElement::class, $root);
        [, , $width] = explode(' ', $root->getAttribute('viewBox'));
        self::assertSame($width.'mm', $root->getAttribute('width'));
        $total = 0.0;
        foreach ($svg->getElementsByTagName('path') as $path) {
            self::assertMatchesRegularExpression('/^M [\d.]+,[\d.]+( L [\d.]+,[\d.]+)+( Z)?$/', $path->getAttribute('d'));
            preg_match_all('/([\d.]+),([\d.]+)/', $path->getAttribute('d'), $numbers, PREG_SET_ORDER);
            $points = array_map(fn (array $point): array => [(float) $point[1], (float) $point[2]], $numbers);
            $points = str_ends_with($path->getAttribute('d'), 'Z') ? [...$points, $points[0]] : $points;
            foreach (array_slice($points, 1) as $i => [$x, $y]) {
                $total += hypot($x - $points[$i][0], $y - $points[$i][1]);
            }
        }
        $expected = 0.0;
        foreach ($piece->pattern()->edges as $edge) {
            $expected += $piece->pattern()->vertices[$edge->from]->minus($piece->pattern()->vertices[$edge->to])->length();
        }
        self::assertEqualsWithDelta($expected, $total, 0.01);
    }

    public function test_a_title_cannot_break_out_of_the_svg(): void
    {
        $svg = new DOMDocument;
        self::assertTrue($svg->loadXML(SvgFile::write(self::piece(), '</title><script>alert(1)</script>')));
        self::assertSame(0, $svg->getElementsByTagName('script')->length);
    }

    public function test_a_thumbnail_has_every_line_of_the_piece(): void
    {
        $piece = self::piece();
        $drawing = ThumbnailWriter::write($piece);
        self::assertCount(count($piece->pattern()->edges), [...$drawing['cuts'], ...$drawing['mountains'], ...$drawing['valleys']]);
        self::assertCount(4, $drawing['valleys']);
        self::assertCount(5, $drawing['faces']);
    }

    /** Mats, and mats on those, where they lie on the sheet, in their papers' colours. */
    public function test_a_thumbnail_shows_what_lies_on_the_piece(): void
    {
        $with = [['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '5 mm', 'paper' => 'print'], ['id' => 'n', 'role' => 'mat', 'on' => 'm', 'border' => '5 mm']];
        $card = Sizing::ofEverything()->size(['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '140 mm', 'height' => '100 mm'], 'papers' => ['print' => ['caliper' => '0.2 mm', 'colour' => '#c9a26b']], 'with' => $with])->pieces[0];
        [$first, $second] = ThumbnailWriter::write($card)['laid'];

        self::assertSame(['#c9a26b', null], [$first['colour'], $second['colour']]);
        $left = $first['ring'][0][0] - 5.0;
        self::assertEqualsWithDelta([[$left + 5.0, 5.0], [$left + 135.0, 5.0], [$left + 135.0, 95.0], [$left + 5.0, 95.0]], $first['ring'], 0.11);
        self::assertEqualsWithDelta([[$left + 10.0, 10.0], [$left + 130.0, 10.0], [$left + 130.0, 90.0], [$left + 10.0, 90.0]], $second['ring'], 0.11);
        self::assertSame([], ThumbnailWriter::write(self::piece())['laid']);
    }

    /** A window's frame, and not the backing and the rim behind it. */
    public function test_a_thumbnail_leaves_out_what_lies_behind_a_panel(): void
    {
        $window = ['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => ['circle' => '30 mm']];
        $laid = static fn (array $with): array => ThumbnailWriter::write(Sizing::ofEverything()->size(['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '140 mm', 'height' => '100 mm'], 'with' => [$with]])->pieces[0])['laid'];

        self::assertNotSame([], $laid([...$window, 'frame' => ['width' => '5 mm']]));
        self::assertSame($laid([...$window, 'frame' => ['width' => '5 mm']]), $laid([...$window, 'frame' => ['width' => '5 mm'], 'rim' => ['width' => '5 mm'], 'backing' => ['margin' => '6 mm']]));
    }

    private static function svg(Piece $piece): DOMDocument
    {
        $svg = new DOMDocument;
        self::assertTrue($svg->loadXML(SvgFile::write($piece, 'Seed packet')));

        return $svg;
    }

    private static function piece(): Piece
    {
        return Sizing::ofEverything()->size(['make' => 'diagonal-envelope', 'holds' => ['width' => '5 in', 'height' => '4 in']])->pieces[0];
    }
}
