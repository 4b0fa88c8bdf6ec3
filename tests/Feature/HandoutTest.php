<?php

declare(strict_types=1);

namespace Tests\Feature;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\LengthFormatter;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
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

    /** Out of 12 in paper: in inches 5 1/4 × 6 with its front comes out of it, in millimetres it would be 306; its front is made lower, and that is said. */
    public function test_both_systems_come_out_of_the_same_paper(): void
    {
        $spec = ['make' => 'slope-box', 'system' => 'imperial', 'holds' => ['width' => '5 1/4 in', 'height' => '6 in', 'thickness' => '1 mm'], 'paper' => ['caliper' => '0.15 mm', 'sheet' => ['width' => '12 in', 'height' => '12 in']]];
        $metric = Sizing::ofEverything()->size(['system' => 'metric'] + $spec)->pieces[0]->sheet;
        self::assertSame(306.0, max($metric->width->toMillimetres(), $metric->height->toMillimetres()));
        $page = $this->withoutVite()->get('/designs/'.$this->start('Shelf of lists', $spec).'/print')->assertOk();
        $page->assertSee('so that it comes out of the same paper: Height of the front: only');
        // Its words alone: the page's address is hexadecimal.
        self::assertDoesNotMatchRegularExpression('/\b306\b/', strip_tags((string) $page->getContent()));
        $page->assertSee('0.15');
    }

    /** A reading that is taken from another end in one of the systems says so beside its own figure, not beside the other's. */
    public function test_a_column_says_its_own_ends(): void
    {
        $spec = ['make' => 'diagonal-envelope', 'holds' => ['width' => '150 mm', 'height' => '105 mm', 'thickness' => '10 mm']];
        $differ = 0;
        for ($i = 0; $i < 40; $i++) {
            $spec['holds']['width'] = (140 + $i).' mm';
            $from = array_map(fn (Design $design) => array_column(array_filter($design->pieces[0]->measures, fn ($measure) => $measure->setting === 'first-mark'), 'from'), self::inBoth($spec));
            if ($from[0] === $from[1]) {
                continue;
            }
            $differ++;
            $html = (string) $this->withoutVite()->get('/designs/'.$this->start('Box', $spec).'/print')->getContent();
            $table = (string) preg_replace('/\s+/', ' ', strip_tags((string) preg_replace('~.*<table class="list measures">(.*?)</table>.*~s', '$1', $html)));
            $says = array_map(fn (string $end) => \App\Words\Words::in('en', lang_path())->sentence("measure.punch.edge.$end"), ['left', 'right']);
            self::assertStringContainsString($says[0], $table);
            self::assertStringContainsString($says[1], $table);
            self::assertMatchesRegularExpression('~\d in '.preg_quote($says[$from[0][0] === 'left' ? 0 : 1], '~').' .*\d mm '.preg_quote($says[$from[1][0] === 'left' ? 0 : 1], '~').'~', $table);
            if ($differ === 3) {
                break;
            }
        }
        self::assertGreaterThan(0, $differ);
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
