<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Process;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use ZipArchive;

/** Templates as a PDF reader measures them (Debian package poppler-utils), and the archive of everything. */
final class TemplateTest extends TestCase
{
    private const TRUE_MM = 0.1;

    private const OVERLAP_MM = 10.0;

    /** @return iterable<string, array{string, float, float}> */
    public static function formats(): iterable
    {
        yield 'A4 (ISO 216)' => ['a4', 210.0, 297.0];
        yield 'US letter (PWG 5101.1)' => ['letter', 215.9, 279.4];
    }

    #[DataProvider('formats')]
    public function test_pages_have_their_size_and_rulers_their_length(string $format, float $width, float $height): void
    {
        $file = $this->template(['make' => 'tray-and-lid', 'holds' => ['width' => '8 in', 'height' => '6 in', 'thickness' => '1 1/2 in']], $format);
        $info = Process::run(['pdfinfo', $file])->throw()->output();
        self::assertSame(1, preg_match('/Pages:\s+(\d+)/', $info, $pages));
        self::assertSame(1, preg_match('/Page size:\s+([\d.]+) x ([\d.]+) pts/', $info, $size));
        self::assertEqualsWithDelta([$width, $height], [(float) ($size[1] ?? 0) * 25.4 / 72, (float) ($size[2] ?? 0) * 25.4 / 72], self::TRUE_MM);
        self::assertGreaterThanOrEqual(4, (int) ($pages[1] ?? 0));
        for ($page = 1; $page <= (int) ($pages[1] ?? 0); $page++) {
            $level = array_map(fn (array $line) => abs($line[2] - $line[0]), array_filter(self::lines($file, $page), fn (array $line) => abs($line[3] - $line[1]) < 0.001));
            foreach ([100.0, 101.6] as $ruler) {
                self::assertNotSame([], array_filter($level, fn (float $length) => abs($length - $ruler) < self::TRUE_MM), "page $page has a ruler of $ruler mm");
            }
        }
        unlink($file);
    }

    /** A small sheet on one page: its outline and its scores lie where the design says, to a tenth of a millimetre. */
    public function test_a_small_piece_lies_true_on_one_page(): void
    {
        $spec = ['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '80 mm', 'height' => '120 mm']];
        $file = $this->template($spec);
        $lines = array_filter(self::lines($file, 1), fn (array $line) => max($line[1], $line[3]) < 270);
        [$xs, $ys] = [[...array_column($lines, 0), ...array_column($lines, 2)], [...array_column($lines, 1), ...array_column($lines, 3)]];
        sort($xs);
        sort($ys);
        self::assertEqualsWithDelta(160.0, end($xs) - $xs[0], self::TRUE_MM);
        self::assertEqualsWithDelta(120.0, end($ys) - $ys[0], self::TRUE_MM);
        $scores = array_values(array_filter($lines, fn (array $line) => $line[4]));
        self::assertCount(1, $scores);
        self::assertEqualsWithDelta(80.0, $scores[0][0] - $xs[0], self::TRUE_MM);
        unlink($file);
    }

    /** What two neighbouring pages both show lies in the same place of the sheet, and so do the marks to join them by. */
    public function test_neighbouring_pages_meet(): void
    {
        $file = $this->template(['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '150 mm', 'height' => '120 mm']]);
        $step = 210 - 20 - self::OVERLAP_MM;
        $crosses = fn (int $page): array => array_values(array_filter(self::lines($file, $page), fn (array $line) => abs(abs($line[2] - $line[0]) - 6) < 0.01 && abs($line[3] - $line[1]) < 0.01));
        [$left, $right] = [$crosses(1), $crosses(2)];
        self::assertCount(2, $left);
        foreach ($left as $i => $cross) {
            self::assertEqualsWithDelta($cross[0] - 10, $right[$i][0] - 10 + $step, self::TRUE_MM);
            self::assertEqualsWithDelta($cross[1], $right[$i][1], self::TRUE_MM);
        }
        $edge = min(array_column(self::lines($file, 1), 0) ?: [0.0]);
        $score = fn (int $page): array => array_values(array_filter(self::lines($file, $page), fn (array $line) => $line[4]));
        self::assertEqualsWithDelta(150.0, $score(1)[0][0] - $edge, self::TRUE_MM, 'the score lies at half the sheet');
        self::assertSame([], $score(2));
        $edges = array_filter(self::lines($file, 2), fn (array $line) => abs($line[2] - $line[0]) < 0.01 && abs($line[3] - $line[1]) > 100);
        self::assertCount(1, $edges, 'only the sheet’s right edge lies on the second page');
        self::assertEqualsWithDelta(300.0, array_values($edges)[0][0] - $edge + $step, self::TRUE_MM);
        unlink($file);
    }

    public function test_everything_of_one_and_of_many_designs_in_an_archive(): void
    {
        $id = $this->start('../Ferry, "return" / ☃', ['make' => 'tray-and-lid']);
        $this->start('Ferry return', ['make' => 'folded-card']);
        $this->start('Ferry return', ['make' => 'lantern-card']);
        $one = self::opened((string) $this->get("/api/designs/$id/everything.zip")->assertOk()->streamedContent());
        self::assertEqualsCanonicalizing(
            ['ferry-return/design.gimbo.json', 'ferry-return/template.pdf', 'ferry-return/tray.svg', 'ferry-return/tray.dxf', 'ferry-return/tray.fold', 'ferry-return/tray.hpgl', 'ferry-return/lid.hpgl', 'ferry-return/lid.svg', 'ferry-return/lid.dxf', 'ferry-return/lid.fold', 'cutting-list.csv'],
            array_keys($one),
        );
        self::assertStringStartsWith('%PDF-', $one['ferry-return/template.pdf']);
        $back = $this->call('POST', '/api/designs/import', server: ['CONTENT_TYPE' => 'application/json'], content: $one['ferry-return/design.gimbo.json'])->assertCreated();
        self::assertSame($this->getJson("/api/designs/$id")->json('design'), $back->json('design'));

        $many = self::opened((string) $this->get('/api/handed-on.zip')->assertOk()->streamedContent());
        self::assertArrayHasKey('ferry-return-2/strip.dxf', $many + ['ferry-return-2/strip.dxf' => '']);
        self::assertSame([], array_filter(array_keys($many), fn (string $name) => str_contains($name, '..') || str_starts_with($name, '/')));
        $rows = array_map(fn (string $line) => str_getcsv($line, escape: ''), array_filter(explode("\r\n", $many['cutting-list.csv'])));
        self::assertSame(['design', 'piece', 'count', 'width', 'height', 'width_mm', 'height_mm', 'paper'], $rows[0]);
        self::assertContains('../Ferry, "return" / ☃', array_column($rows, 0));
        $this->get("/api/designs/$id/template.pdf?paper=a3")->assertUnprocessable();
        $this->get("/api/designs/$id/template.pdf?piece=roof")->assertNotFound();
        $this->get("/api/designs/$id/lid.dxf")->assertOk()->assertHeader('Content-Type', 'image/vnd.dxf');
        $this->get("/api/designs/$id/cutting-list.csv")->assertOk();
    }

    /** @param array<string, mixed> $spec */
    private function template(array $spec, string $format = 'a4'): string
    {
        $id = $this->start('Tern count', $spec);
        $file = (string) tempnam(sys_get_temp_dir(), 'gimbo');
        file_put_contents($file, (string) $this->get("/api/designs/$id/template.pdf?paper=$format")->assertOk()->getContent());

        return $file;
    }

    /** @return list<array{float, float, float, float, bool}> from x, y to x, y in millimetres, and whether it is dashed */
    private static function lines(string $file, int $page): array
    {
        /** @var list<array{float, float, float, float, bool}> */
        return json_decode(Process::run(['/usr/bin/python3', __DIR__.'/pdf_lines.py', $file, (string) $page])->throw()->output(), true, 8, JSON_THROW_ON_ERROR);
    }

    /** @return array<string, string> content by name */
    private static function opened(string $archive): array
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'gimbo');
        file_put_contents($file, $archive);
        $zip = new ZipArchive;
        self::assertTrue($zip->open($file, ZipArchive::CHECKCONS));
        $files = [];
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $files[(string) $zip->getNameIndex($i)] = (string) $zip->getFromIndex($i);
        }
        $zip->close();
        unlink($file);

        return $files;
    }
}
