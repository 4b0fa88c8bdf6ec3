<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\HandOn\LabelSheet;
use App\HandOn\PaperFormat;
use Gimbo\Core\Sizing;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Str;
use Tests\TestCase;

/** What goes with a make, as it is handed on: labels, lists, texts and archives. */
final class WithTest extends TestCase
{
    private const CARD = [
        'make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '148 mm', 'height' => '105 mm'],
        'papers' => ['tide' => ['name' => 'Low tide', 'caliper' => '0.3 mm']],
        'with' => [
            ['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm', 'paper' => 'tide'],
            ['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => ['circle' => '30 mm'], 'backing' => ['paper' => 'tide']],
            ['id' => 't', 'role' => 'label', 'text' => 'Гнездо Ähre 7', 'width' => '60 mm', 'height' => '14 mm', 'count' => 50],
            ['id' => 'r', 'role' => 'ribbon'],
        ],
    ];

    /** Poppler measures the pages and reads every text: fifty labels of 60 × 14 mm, three in a row, on two pages of A4. */
    public function test_labels_come_at_true_size_and_say_what_they_should(): void
    {
        $id = $this->start('Tern count', self::CARD);
        $file = (string) tempnam(sys_get_temp_dir(), 'gimbo');
        file_put_contents($file, (string) $this->get("/api/designs/$id/labels.pdf?paper=a4")->assertOk()->getContent());
        $info = Process::run(['pdfinfo', $file])->throw()->output();
        self::assertMatchesRegularExpression('~Pages:\s+1\n~', $info);
        self::assertMatchesRegularExpression('~Page size:\s+595\.\d+ x 841\.\d+ pts \(A4\)~', $info);
        $boxes = Process::run(['pdftotext', '-bbox', $file, '-'])->throw()->output();
        preg_match_all('~<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">Гнездо</word>~u', $boxes, $words);
        self::assertCount(50, $words[1]);
        // Labels beside one another stand 60 mm apart, those below 14 mm.
        $mm = fn (string $points): float => (float) $points * 25.4 / 72;
        self::assertEqualsWithDelta(60.0, $mm($words[1][1]) - $mm($words[1][0]), 0.2);
        self::assertEqualsWithDelta(14.0, $mm($words[2][3]) - $mm($words[2][0]), 0.2);
        unlink($file);
        $this->get('/api/designs/'.$this->start('Bare').'/labels.pdf')->assertNotFound();
    }

    /** Poppler reads every script in its own order, and finds each text inside its label. */
    public function test_labels_in_any_script_are_written_as_they_are_read(): void
    {
        $texts = ['Ähre', 'Крачка', 'Γλαρόνι', 'שחפית', 'خطاف', 'アジサシ', '燕鸥', 'นกนางนวล', 'नभचर', 'WWWWWWWWWWWWWWWWWWWW', 'iiii & <b>'];
        $labels = array_map(fn (string $text, int $n): array => ['id' => "l$n", 'role' => 'label', 'text' => $text, 'width' => '60 mm', 'height' => '14 mm'], $texts, array_keys($texts));
        $id = $this->start('Terns everywhere', ['with' => $labels] + self::CARD);
        $file = (string) tempnam(sys_get_temp_dir(), 'gimbo');
        file_put_contents($file, (string) $this->get("/api/designs/$id/labels.pdf?paper=a4")->assertOk()->getContent());
        $said = (string) preg_replace('/[\x{202A}-\x{202E}]/u', '', Process::run(['pdftotext', $file, '-'])->throw()->output());
        foreach ($texts as $text) {
            self::assertStringContainsString($text, $said);
        }
        $fonts = array_slice(explode('
', trim(Process::run(['pdffonts', $file])->throw()->output())), 2);
        self::assertNotSame([], $fonts);
        self::assertStringContainsString('SourceSans3', implode(' ', $fonts));
        foreach ($fonts as $font) {
            self::assertMatchesRegularExpression('/ yes +yes +yes +\d+ +\d+$/', $font, 'A font is not embedded.');
        }
        preg_match_all('~<word xMin="([\d.]+)" yMin="[\d.]+" xMax="([\d.]+)" yMax="[\d.]+">W+</word>~', Process::run(['pdftotext', '-bbox', $file, '-'])->throw()->output(), $word);
        self::assertCount(1, $word[1]);
        $wide = ((float) $word[2][0] - (float) $word[1][0]) * 25.4 / 72;
        self::assertLessThan(60.0, $wide);
        self::assertGreaterThan(50.0, $wide, 'Letters may be as large as the label takes.');
        unlink($file);
    }

    /** More than go on a page go on the next; none is cut off at an edge. */
    public function test_labels_that_do_not_go_on_a_page_go_on_the_next(): void
    {
        $label = ['id' => 't', 'role' => 'label', 'text' => 'Nest', 'width' => '3 in', 'height' => '1 in', 'count' => 37];
        $design = Sizing::ofEverything()->size(['with' => [$label]] + self::CARD);
        foreach (PaperFormat::cases() as $format) {
            $pages = LabelSheet::pages($design, $format);
            self::assertSame(37, array_sum(array_map(count(...), $pages)));
            self::assertGreaterThan(1, count($pages));
            foreach (array_merge(...$pages) as $one) {
                self::assertLessThanOrEqual($format->width() - 12 + 1e-6, $one['left'] + $one['width']);
                self::assertLessThanOrEqual($format->height() - 12 + 1e-6, $one['top'] + $one['height']);
            }
        }
    }

    /** Every piece stands in handout, text and archive under its own name; what is no paper among what it takes. */
    public function test_every_piece_is_handed_on_by_its_name(): void
    {
        $id = $this->start('Tern count', self::CARD);
        $page = html_entity_decode((string) preg_replace('/\s+/', ' ', strip_tags((string) $this->withoutVite()->get("/designs/$id/print")->assertOk()->getContent())));
        foreach (['Mat on the front', 'Backing of the window in the front', 'Label “Гнездо Ähre 7”', 'Low tide', 'Ribbon'] as $said) {
            self::assertStringContainsString($said, $page);
        }
        $recipe = (string) $this->get("/api/designs/$id/recipe.txt")->assertOk()->getContent();
        foreach (['Mat on the front', 'A round opening, 30 mm across: its middle 74 mm from the left and 52.5 mm from the bottom', '4 mm of that shows on its left and 4 mm below it', 'Cut 50 sheets to 60 mm × 14 mm', 'of ribbon'] as $said) {
            self::assertStringContainsString($said, $recipe);
        }
        foreach (['m', 'w-backing', 't'] as $piece) {
            $this->get("/api/designs/$id/$piece.svg")->assertOk();
            $this->get("/api/designs/$id/$piece.dxf")->assertOk();
            $this->get("/api/designs/$id/$piece.hpgl")->assertOk();
            $this->get("/api/designs/$id/$piece.fold")->assertOk();
        }
        self::assertStringContainsString('J', (string) json_encode($this->get("/api/designs/$id/card.fold")->json('edges_assignment')));
    }

    /** An edit of what goes with it is an edit like any other: one undo away. */
    public function test_what_goes_with_it_is_edited_and_undone(): void
    {
        $id = $this->start('Tern count', self::CARD);
        $change = fn (array $changes): mixed => $this->postJson("/api/designs/$id/edits", ['id' => (string) Str::uuid(), 'changes' => $changes])->assertOk()->json('spec.with.0.border');
        self::assertSame('6 mm', $change([['at' => '/with/0/border', 'to' => '6']]));
        $this->postJson("/api/designs/$id/edits", ['id' => (string) Str::uuid(), 'changes' => [['at' => '/with/0/border', 'to' => 'as wide as a tern']]])->assertUnprocessable()->assertJsonPath('errors.0.at', '/with/0/border');
        $this->postJson("/api/designs/$id/undo", ['revision' => 2])->assertOk()->assertJsonPath('spec.with.0.border', '4 mm');
    }
}
