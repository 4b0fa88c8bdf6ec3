<?php

declare(strict_types=1);

namespace Tests\Feature;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Request\Change;
use Gimbo\Core\Sizing;
use Illuminate\Support\Facades\Process;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The handout as PDF, as another program reads it (Debian package poppler-utils), and as a page. */
final class HandoutTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $i => $id) {
            yield $id => [$id, $i % 2 === 0 ? 'a4' : 'letter'];
        }
    }

    #[DataProvider('makes')]
    public function test_every_figure_of_both_systems_stands_on_it(string $make, string $paper): void
    {
        $spec = ['make' => $make, 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '6 mm']];
        $file = $this->handout($this->start('Tern count “north”', $spec), $paper);
        $text = self::textOf($file);
        foreach (self::inBoth($spec) as $design) {
            $words = LengthFormatter::for($design->request->system);
            foreach ($design->pieces as $piece) {
                foreach ($piece->measures as $measure) {
                    self::assertStringContainsString(self::typeset($words->text($measure->at)), $text);
                }
            }
        }
        self::assertStringContainsString('Tern count “north”', $text);
        preg_match('/Page size:\s+([\d.]+) x ([\d.]+) pts/', Process::run(['pdfinfo', $file])->throw()->output(), $size);
        self::assertEqualsWithDelta($paper === 'a4' ? [210.0, 297.0] : [215.9, 279.4], [(float) ($size[1] ?? 0) * 25.4 / 72, (float) ($size[2] ?? 0) * 25.4 / 72], 0.1);
        self::assertStringNotContainsString(' no ', implode("\n", array_slice(explode("\n", preg_replace('/ +(yes|no) +(yes|no) +(yes|no) +\d+ +\d+/', ' $1 ', Process::run(['pdffonts', $file])->throw()->output()) ?? ''), 2)), 'every font is embedded');
        unlink($file);
    }

    /** A number, its drawing and its words are one row: whatever page a step's number stands on, so does its whole sentence. */
    public function test_a_step_is_never_split_and_no_heading_stands_alone(): void
    {
        $id = $this->start('Tern count', ['make' => 'tray-and-lid', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 in']]);
        $file = $this->handout($id, 'letter');
        $pages = explode("\f", trim(Process::run(['pdftotext', '-layout', $file, '-'])->throw()->output(), "\f"));
        self::assertGreaterThan(1, count($pages));
        foreach ($pages as $page) {
            $lines = array_values(array_filter(array_map(trim(...), explode("\n", $page))));
            $last = $lines[count($lines) - 2] ?? '';
            self::assertMatchesRegularExpression('/^Tern count · \d+$/', end($lines) ?: '');
            self::assertDoesNotMatchRegularExpression('/^(Steps|Measures|Tray|Lid|Notes|To cut|What it takes)\b(?!.*\d)/', $last);
        }
        unlink($file);
    }

    public function test_notes_go_with_the_design_and_on_the_handout(): void
    {
        $id = $this->start();
        $this->edit($id, [['at' => '/notes', 'to' => "Stamp first.\r\n\nThen <b>score</b>\u{7} & fold."]])->assertOk()->assertJsonPath('notes', "Stamp first.\n\nThen <b>score</b> & fold.");
        $page = $this->withoutVite()->get("/designs/$id/print")->assertOk();
        $page->assertSee('Then <b>score</b> & fold.');
        $page->assertDontSee('<b>score</b>', false);
        $this->edit($id, [['at' => '/notes', 'to' => str_repeat('x', 2001)]])->assertUnprocessable()->assertJsonPath('errors.0.at', '/notes');
        $this->edit($id, [['at' => '/notes', 'to' => ['x']]])->assertUnprocessable()->assertJsonPath('errors.0.at', '/notes');
        $copy = $this->postJson("/api/designs/$id/copy", ['name' => 'copy'])->assertCreated()->assertJsonPath('notes', "Stamp first.\n\nThen <b>score</b> & fold.");
        $out = (string) $this->get('/api/designs/'.$copy->json('id').'/design.json')->getContent();
        $this->call('POST', '/api/designs/import', server: ['CONTENT_TYPE' => 'application/json'], content: $out)->assertCreated()->assertJsonPath('notes', "Stamp first.\n\nThen <b>score</b> & fold.");
        $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertOk()->assertJsonPath('notes', '');
    }

    public function test_what_is_not_there_is_said(): void
    {
        $this->get('/designs/01a00000-0000-7000-8000-000000000000/print')->assertNotFound();
        $this->get('/api/designs/'.$this->start().'/handout.pdf?paper=a3')->assertUnprocessable()->assertJsonPath('errors.0.at', '/paper');
    }

    /**
     * @param array<string, mixed> $spec
     * @return list<Design>
     */
    private static function inBoth(array $spec): array
    {
        $sizing = Sizing::ofEverything();

        return array_map(fn (string $system) => $sizing->size($sizing->edited($spec, [Change::set('/system', $system)])), ['imperial', 'metric']);
    }

    private function handout(string $id, string $paper): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'gimbo');
        file_put_contents($file, (string) $this->get("/api/designs/$id/handout.pdf?paper=$paper")->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent());

        return $file;
    }

    private static function textOf(string $file): string
    {
        return (string) preg_replace('/[\s\x{2009}]+/u', ' ', Process::run(['pdftotext', '-raw', $file, '-'])->throw()->output());
    }

    private static function typeset(string $figure): string
    {
        return str_replace('/', '⁄', $figure);
    }
}
