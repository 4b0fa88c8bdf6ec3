<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Reference;

use Gimbo\Core\Exchange\SvgFile;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Our SVG as librsvg renders it (Debian package librsvg2-bin) and poppler measures the page. */
final class SvgRendererTest extends TestCase
{
    private const MARGIN_MM = 2.0;

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function specs(): iterable
    {
        yield 'punched, inches' => [['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in']]];
        yield 'scored, millimetres' => [['make' => 'diagonal-envelope', 'system' => 'metric', 'holds' => ['width' => '105 mm', 'height' => '74 mm'], 'options' => ['method' => 'score-board']]];
    }

    /** @param array<string, mixed> $spec */
    #[DataProvider('specs')]
    public function test_a_renderer_reads_the_true_size(array $spec): void
    {
        $piece = Sizing::ofEverything()->size($spec)->pieces[0];
        $pdf = Program::answer(['rsvg-convert', '-f', 'pdf'], SvgFile::write($piece, 'Tern card'));
        $file = tempnam(sys_get_temp_dir(), 'gimbo');
        self::assertIsString($file);
        file_put_contents($file, $pdf);
        $info = Program::answer(['pdfinfo', $file], '');
        unlink($file);
        self::assertSame(1, preg_match('/Page size:\s+([\d.]+) x ([\d.]+) pts/', $info, $size));
        $side = $piece->sheet->width->toMillimetres() + 2 * self::MARGIN_MM;
        self::assertEqualsWithDelta([$side, $side], [(float) ($size[1] ?? 0) * 25.4 / 72, (float) ($size[2] ?? 0) * 25.4 / 72], 0.05);
    }

    /** Ten pixels to the millimetre: a picture's own size is another reading of the same width. */
    public function test_a_picture_of_it_has_as_many_pixels_as_it_has_tenths_of_a_millimetre(): void
    {
        $piece = Sizing::ofEverything()->size(iterator_to_array(self::specs())['punched, inches'][0])->pieces[0];
        $png = Program::answer(['rsvg-convert', '--dpi-x=254', '--dpi-y=254', '-f', 'png'], SvgFile::write($piece, 'Tern card'));
        $size = getimagesizefromstring($png);
        self::assertIsArray($size);
        self::assertEqualsWithDelta(10 * ($piece->sheet->width->toMillimetres() + 2 * self::MARGIN_MM), $size[0], 1.5);
    }
}
