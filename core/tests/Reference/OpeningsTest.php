<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Design\Piece;
use Gimbo\Core\Exchange\DxfFile;
use Gimbo\Core\Exchange\SvgFile;
use Gimbo\Core\Geometry\Point;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Opening;
use Gimbo\Core\Steps\OpeningKind;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\TestCase;

/** Openings and layers against shapely (GEOS), ezdxf and librsvg. */
final class OpeningsTest extends TestCase
{
    /** The shape that machines cut is the one the faces of the pattern make, and for mats the one shapely makes of panel and openings. */
    public function test_what_is_cut_is_what_is_left(): void
    {
        mt_srand(41);
        $cases = $open = $of = [];
        foreach (Makes::all()->ids() as $make) {
            for ($run = 0; $run < 4; $run++) {
                foreach (Sizing::ofEverything()->size(Specs::dressed(Specs::random($make)))->pieces as $piece) {
                    $openings = $piece->added()->openings ?? [];
                    $isSayable = array_filter($openings, fn (Opening $opening) => $opening->kind === OpeningKind::Outline) === [];
                    $open[] = count($openings);
                    $of[] = "$make $piece->id";
                    $cases[] = [
                        'dxf' => DxfFile::write($piece),
                        'faces' => array_map(fn (int $f) => self::ring($piece->pattern()->polygon($f)->points), array_keys($piece->pattern()->faces)),
                        'panel' => $openings !== [] && $isSayable ? self::ring($piece->whole()->polygon(0)->points) : [],
                        'asked' => array_map(fn (Opening $one) => ['kind' => $one->kind->value, 'x' => $one->middle->x, 'y' => $one->middle->y, 'width' => $one->width, 'height' => $one->height, 'radius' => $one->radius], $isSayable ? $openings : []),
                    ];
                }
            }
        }
        /** @var list<array{apart: float, asked?: float, round?: float}> $answers */
        $answers = json_decode(Program::answer(['/usr/bin/python3', __DIR__.'/openings.py'], json_encode($cases, JSON_THROW_ON_ERROR)), true);
        self::assertCount(count($cases), $answers);
        $asked = 0;
        foreach ($answers as $i => $answer) {
            self::assertLessThan(0.05, $answer['apart'], $of[$i]);
            if (isset($answer['asked'], $answer['round'])) {
                // Chords lie at most a fiftieth of a millimetre inside what is round.
                self::assertLessThan(0.03 * $answer['round'] + 0.01, $answer['asked']);
                $asked++;
            }
        }
        self::assertGreaterThan(10, $asked);
        self::assertGreaterThan(10, array_sum($open));
    }

    /** Rendered at ten pixels to a millimetre, the middle of a window is as empty as the table beside the sheet, and its edge is there. */
    public function test_a_window_is_drawn_where_it_is(): void
    {
        $design = Sizing::ofEverything()->size(['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '100 mm', 'height' => '80 mm'], 'with' => [['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '5 mm'], ['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => ['oval' => ['40 mm', '30 mm']]]]]);
        foreach (['card' => [50.0, 40.0, 20.0, 15.0, 200.0], 'm' => [45.0, 35.0, 25.0, 20.0, 90.0]] as $id => [$x, $y, $a, $b, $width]) {
            $piece = $design->piece($id);
            self::assertInstanceOf(Piece::class, $piece);
            $svg = (string) preg_replace('~stroke-width="0.3"~', 'stroke-width="1"', SvgFile::write($piece, 'Nest'));
            $file = (string) tempnam(sys_get_temp_dir(), 'gimbo');
            file_put_contents($file, $svg);
            $image = imagecreatefromstring(Program::answer(['rsvg-convert', '--background-color', 'white', '-w', (string) (int) (($width + 4) * 10), $file]));
            unlink($file);
            self::assertNotFalse($image);
            $height = $piece->sheet->height->toMillimetres();
            // The drawing has 2 mm of room around the sheet.
            $ink = function (float $mmX, float $mmY) use ($image, $height): int {
                $darkest = 255;
                for ($dx = -4; $dx <= 4; $dx++) {
                    for ($dy = -4; $dy <= 4; $dy++) {
                        $darkest = min($darkest, imagecolorat($image, (int) round(($mmX + 2) * 10) + $dx, (int) round(($height - $mmY + 2) * 10) + $dy) & 0xFF);
                    }
                }

                return $darkest;
            };
            self::assertGreaterThan(200, $ink($x, $y), "$id: nothing is drawn in the window");
            foreach ([0, 45, 90, 180, 300] as $degrees) {
                self::assertLessThan(120, $ink($x + $a * cos(deg2rad($degrees)), $y + $b * sin(deg2rad($degrees))), "$id: its edge at $degrees");
            }
        }
    }

    /**
     * @param list<Point> $points
     * @return list<array{float, float}>
     */
    private static function ring(array $points): array
    {
        return array_map(fn (Point $p) => [$p->x, $p->y], $points);
    }
}
