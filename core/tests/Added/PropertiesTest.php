<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Added;

use Gimbo\Core\Design\Design;
use Gimbo\Core\Design\Piece;
use Gimbo\Core\Error\InvalidDocument;
use Gimbo\Core\Error\Problem;
use Gimbo\Core\Exchange\CuttingList;
use Gimbo\Core\Exchange\DxfFile;
use Gimbo\Core\Exchange\HpglFile;
use Gimbo\Core\Exchange\Layer;
use Gimbo\Core\Exchange\Paths;
use Gimbo\Core\Exchange\SvgFile;
use Gimbo\Core\Exchange\ToolPath;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\Follow;
use Gimbo\Core\Sizing;
use Gimbo\Core\Spec\Change;
use Gimbo\Core\Spec\SpecDiff;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tests\Specs;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What holds of everything that goes with a make, whatever it is. */
final class PropertiesTest extends TestCase
{
    private const CARD = ['make' => 'folded-card', 'system' => 'metric', 'holds' => ['width' => '148 mm', 'height' => '105 mm']];

    private const TRAY = ['make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '148 mm', 'height' => '105 mm', 'thickness' => '20 mm']];

    private const PAPERS = ['papers' => ['print' => ['caliper' => '0.2 mm'], 'thick' => ['caliper' => '0.5 mm']]];

    /** Layers lie inside what they lie on by their border and openings inside their layers, for every make. */
    public function test_layers_and_openings_lie_inside_what_they_lie_on(): void
    {
        mt_srand(14);
        $laid = $open = 0;
        foreach (Makes::all()->ids() as $make) {
            for ($run = 0; $run < 12; $run++) {
                $design = Sizing::ofEverything()->size(Specs::dressed(Specs::random($make)));
                foreach ($design->figures->outfit->pieces as $piece) {
                    foreach ($piece->placings as $placing) {
                        if ($piece->role !== 'mat' || $piece->addition->border === null) {
                            continue;
                        }
                        $under = $design->piece($placing->piece)?->whole();
                        self::assertNotNull($under);
                        // A rounded mat's corners are looked at by a fit of their own.
                        $panel = $design->figures->outfit->piece($placing->piece)->outline ?? $under->polygon($under->faceNamed($placing->face));
                        $border = min($piece->addition->border->width->toMillimetres(), $piece->addition->border->height->toMillimetres());
                        foreach ($piece->outline->points as $point) {
                            self::assertGreaterThanOrEqual($border - 1e-3, $panel->clearance($placing->there($point)), "$make {$piece->id()}");
                        }
                        $laid++;
                    }
                    foreach ($piece->openings as $opening) {
                        foreach ($opening->points() as $point) {
                            self::assertGreaterThan(0.0, $piece->outline->clearance($point), "$make {$piece->id()}");
                        }
                        $open++;
                    }
                }
            }
        }
        self::assertGreaterThan(60, $laid);
        self::assertGreaterThan(20, $open);
    }

    /** What is laid on a card makes it as much thicker as that is, one over the other; side by side only as much as one. */
    public function test_the_closed_depth_grows_by_exactly_the_calipers_put_on(): void
    {
        $depth = fn (array $with, array $more = []): float => Sizing::ofEverything()->size(['with' => $with] + self::PAPERS + $more + self::CARD)->closed->depth->toMillimetres();
        $mat = fn (string $id, string $on, string $paper): array => ['id' => $id, 'role' => 'mat', 'on' => $on, 'border' => '4 mm', 'paper' => $paper];
        $bare = Sizing::ofEverything()->size(self::CARD)->closed->depth->toMillimetres();
        self::assertEqualsWithDelta($bare + 0.2, $depth([$mat('a', 'card/front', 'print')]), 1e-6);
        self::assertEqualsWithDelta($bare + 0.7, $depth([$mat('a', 'card/front', 'print'), $mat('b', 'a', 'thick')]), 1e-6);
        self::assertEqualsWithDelta($bare + 0.7, $depth([$mat('a', 'card/front', 'print'), $mat('b', 'card/back', 'thick')]), 1e-6);
        $gate = ['options' => ['fold' => 'gate']];
        self::assertEqualsWithDelta($bare + 0.2, $depth([$mat('a', 'card/front', 'print'), $mat('b', 'card/flap', 'print')], $gate), 1e-6, 'its flaps lie beside one another');
        $tray = fn (array $with): Design => Sizing::ofEverything()->size(['with' => $with] + self::PAPERS + self::TRAY);
        self::assertEqualsWithDelta($tray([$mat('z', 'tray/base', 'print')])->closed->depth->toMillimetres() + 0.5, $tray([$mat('a', 'lid/base', 'thick')])->closed->depth->toMillimetres(), 1e-6);
    }

    /** Mats on the tray's walls: the lid is planned over them, and one that is there already has so much less play. */
    public function test_a_lids_play_falls_by_the_mats_on_the_walls(): void
    {
        $walls = array_map(fn (string $wall): array => ['id' => $wall, 'role' => 'mat', 'on' => "tray/$wall-wall", 'border' => '2 mm', 'paper' => 'thick'], ['left', 'right', 'bottom', 'top']);
        $plain = Sizing::ofEverything()->size(self::TRAY);
        $dressed = Sizing::ofEverything()->size(['with' => $walls] + self::PAPERS + self::TRAY);
        $main = fn (Design $design): float => $design->figures->grid('lid')->columns->main()->toMillimetres();
        self::assertEqualsWithDelta($main($plain) + 1.0, $main($dressed), 1e-6, 'half a millimetre on both sides');
        // The same lid without its own room for them.
        $sizing = Sizing::ofEverything();
        $plan = $sizing->plan($sizing->request(['with' => $walls] + self::PAPERS + self::TRAY));
        $tight = $sizing->settle($plan->with('lid', 'sheet-width', $plain->figures->piece('lid')->sheet->width)->with('lid', 'sheet-height', $plain->figures->piece('lid')->sheet->height));
        $play = fn (Figures|Design $of): float => array_values(array_filter($of->fits, fn (Fit $fit) => $fit->id === 'lid-goes-on'))[0]->have->toMillimetres();
        self::assertEqualsWithDelta($play($plain) - 1.0, $play($tight), 1e-6);
    }

    /** A tray of 0.4 mm under a lid of 0.25: outside the tray half of each on both sides, and the lid's own tabs. */
    public function test_a_lid_of_another_paper_is_reckoned_with_its_own_caliper(): void
    {
        $spec = ['paper' => ['caliper' => '0.4 mm'], 'papers' => ['thin' => ['caliper' => '0.25 mm']], 'pieces' => ['lid' => ['paper' => 'thin']], 'tools' => ['cut' => '0.01 mm', 'score' => '0.01 mm']] + self::TRAY;
        $design = Sizing::ofEverything()->size($spec);
        $lid = $design->figures->grid('lid')->columns->main()->toMillimetres() - $design->figures->grid('tray')->columns->main()->toMillimetres();
        $play = array_values(array_filter($design->fits, fn ($fit) => $fit->id === 'lid-goes-on'))[0]->have->toMillimetres();
        self::assertEqualsWithDelta(0.4 + 3 * 0.25 + $play, $lid, 0.011);
        self::assertSame('thin', $design->piece('lid')?->paper()->id);
        self::assertEqualsWithDelta($design->figures->grid('lid')->columns->main()->toMillimetres() + 0.25, $design->closed->width->toMillimetres(), 1e-6);
    }

    /** Every piece comes out of every writer, exactly as often as there is one of it. */
    public function test_every_piece_is_in_every_output(): void
    {
        mt_srand(3);
        $seen = [];
        foreach (Makes::all()->ids() as $make) {
            $design = Sizing::ofEverything()->size(Specs::dressed(Specs::random($make)));
            $list = array_map(fn (string $line): array => str_getcsv($line, escape: ''), array_slice(array_filter(explode("\r\n", CuttingList::write([['Nest', $design]]))), 1));
            foreach ($design->pieces as $piece) {
                $seen[] = $piece->added()->role ?? 'made';
                self::assertSame([(string) $piece->count], array_column(array_values(array_filter($list, fn (array $row) => $row[1] === $piece->id)), 2), "$make: $piece->id in the cutting list");
                $cut = array_filter($design->steps(), fn (WorkStep $step) => $step->piece === $piece->id && $step->do === Deed::Cut && $step->copies === $piece->count);
                self::assertCount(1, $cut, "$make: $piece->id is cut");
                // Its outline and every opening is one closed cut, in what machines are sent and what is drawn for them.
                $loops = 1 + count($piece->added()->openings ?? array_merge([], ...array_values($design->figures->outfit->openings[$piece->id] ?? [])));
                $cuts = array_filter(Paths::of($piece->pattern()), fn (ToolPath $path) => $path->layer === Layer::CutOutline);
                self::assertCount($loops, $cuts, "$make: $piece->id");
                self::assertSame(count($cuts), substr_count((string) preg_replace('~^.*id="cut-outline"(.*?)</g>.*$~s', '$1', SvgFile::write($piece, 'Nest')), '<path'), "$make: $piece->id");
                self::assertStringContainsString('cut-outline', DxfFile::write($piece));
                self::assertGreaterThanOrEqual($loops, substr_count(HpglFile::write($piece), 'PD'));
            }
        }
        self::assertGreaterThan(4, count(array_unique($seen)));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what is wrong, and where that is said */
    public static function wrong(): iterable
    {
        $with = fn (array $entry): array => ['with' => [['id' => 'a'] + $entry]];
        yield 'no list' => [['with' => ['id' => 'a']], '/with'];
        yield 'an id twice' => [['with' => [['id' => 'a', 'role' => 'band'], ['id' => 'a', 'role' => 'band']]], '/with/1/id'];
        yield 'no role' => [$with([]), '/with/0/role'];
        yield 'an unknown role' => [$with(['role' => 'sail']), '/with/0/role'];
        yield 'no place' => [$with(['role' => 'mat']), '/with/0/on'];
        yield 'on what comes later' => [['with' => [['id' => 'a', 'role' => 'mat', 'on' => 'b'], ['id' => 'b', 'role' => 'mat', 'on' => 'card/front']]], '/with/0/on'];
        yield 'a field of another role' => [$with(['role' => 'band', 'shape' => ['circle' => '1 in']]), '/with/0/shape'];
        yield 'a window of no shape' => [$with(['role' => 'window', 'on' => 'card/front']), '/with/0/shape'];
        yield 'a border below nothing' => [$with(['role' => 'mat', 'on' => 'card/front', 'border' => '-1 mm']), '/with/0/border'];
        yield 'a paper that was taken away' => [$with(['role' => 'band', 'paper' => 'gone']), '/with/0/paper'];
        yield 'a label of ten thousand letters' => [$with(['role' => 'label', 'text' => str_repeat('a', 10_000)]), '/with/0/text'];
        yield 'a piece from no paper' => [['pieces' => ['card' => ['paper' => 'gone']]], '/pieces/card/paper'];
    }

    /** @param array<string, mixed> $more */
    #[DataProvider('wrong')]
    public function test_what_cannot_be_read_is_said_at_its_field(array $more, string $at): void
    {
        try {
            Sizing::ofEverything()->size($more + self::CARD);
            self::fail('It was read.');
        } catch (InvalidDocument $error) {
            self::assertContains($at, array_map(fn (Problem $problem) => $problem->at, $error->problems));
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> what cannot be made, and the fit that says so */
    public static function cannot(): iterable
    {
        yield 'a border larger than the panel' => [['role' => 'mat', 'on' => 'card/front', 'border' => '80 mm'], 'mat-has-room'];
        yield 'a window over the fold' => [['role' => 'window', 'on' => 'card/front', 'shape' => ['circle' => '50 mm'], 'at' => ['left' => '140 mm', 'bottom' => '50 mm']], 'window-inside-panel'];
        yield 'a window wider than the panel' => [['role' => 'window', 'on' => 'card/front', 'shape' => ['rect' => ['200 mm', '20 mm']]], 'window-inside-panel'];
        yield 'backing past the panel' => [['role' => 'window', 'on' => 'card/front', 'shape' => ['circle' => '95 mm'], 'backing' => ['margin' => '10 mm']], 'backing-inside-panel'];
        yield 'a panel that is not there' => [['role' => 'mat', 'on' => 'card/sail'], 'panel-is-there'];
        yield 'a flap that is not there' => [['role' => 'closure', 'by' => 'dot'], 'panel-is-there'];
        yield 'a label wider than the panel' => [['role' => 'label', 'on' => 'card/front', 'width' => '300 mm'], 'label-inside-panel'];
    }

    /** @param array<string, mixed> $entry */
    #[DataProvider('cannot')]
    public function test_what_cannot_be_made_is_a_failing_fit_and_can_be_left_out(array $entry, string $fit): void
    {
        $spec = ['with' => [['id' => 'a'] + $entry]] + self::CARD;
        $design = Sizing::ofEverything()->size($spec);
        self::assertContains($fit, array_column($design->figures->failing(), 'id'));
        $failing = array_values(array_filter($design->fits, fn ($one) => $one->id === $fit))[0];
        self::assertContains('without-it', array_column($failing->remedies, 'id'));
    }

    /** Said as it used to be said, mats everywhere and a closure are what they were. */
    public function test_what_earlier_specs_said_is_read_as_before(): void
    {
        $design = Sizing::ofEverything()->size(['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in'], 'border' => '1/8 in', 'closure' => 'dot']);
        self::assertContains('liner', array_map(fn (Piece $piece) => $piece->added()?->role, $design->pieces));
        self::assertSame(['dot'], array_column($design->supplies(), 'role'));
        self::assertNull($design->request->spec['border'] ?? null);
    }

    /** Edits reach what goes with it; what is taken away leaves the others where they were. */
    public function test_edits_reach_what_goes_with_it(): void
    {
        $sizing = Sizing::ofEverything();
        $spec = ['with' => [['id' => 'a', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm'], ['id' => 'b', 'role' => 'band']]] + self::CARD;
        $after = fn (Change $change): mixed => $sizing->edited($spec, [$change])['with'];
        [$mat, $band] = $spec['with'];
        self::assertEquals([['border' => '6 mm'] + $mat, $band], $after(Change::nudge('/with/0/border', 2)));
        self::assertEquals([['border' => '5 mm'] + $mat, $band], $after(Change::set('/with/0/border', '5')));
        self::assertSame([$band], $after(Change::set('/with/0', null)));
        self::assertSame([$mat, $band, ['id' => 'c', 'role' => 'liner']], $after(Change::set('/with/-', ['id' => 'c', 'role' => 'liner'])));
        self::assertSame([$band], $after(Change::set('/make', 'tray-and-lid')), 'what lies on no panel stays');
    }

    /** A mat that was cut 3 mm too wide shows too little; cut again it is right. One that was cut a hair smaller still serves. */
    public function test_a_missed_figure_of_a_mat_says_what_became_of_it(): void
    {
        $spec = ['with' => [['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => '4 mm'], ['id' => 'n', 'role' => 'mat', 'on' => 'm', 'border' => '3 mm']]] + self::CARD;
        $wide = Sizing::ofEverything()->missed($spec, 'm', 0, Length::mm(143));
        self::assertContains('mat-shows-border', array_map(fn (Fit $fit) => $fit->id, $wide->gone));
        self::assertSame(['n'], array_map(fn (Follow $follow) => $follow->piece->id, $wide->follow), 'what lies on it follows it');
        self::assertSame([], Sizing::ofEverything()->missed($spec, 'm', 0, Length::mm(139))->gone);
    }

    /** Whatever was set otherwise, of whichever piece: what is cut stays as it is, and what is not follows, or nothing is left. */
    public function test_any_figure_of_any_piece_may_be_missed(): void
    {
        mt_srand(77);
        $missed = 0;
        foreach (Makes::all()->ids() as $make) {
            $spec = Specs::dressed(Specs::random($make));
            foreach (Sizing::ofEverything()->size($spec)->pieces as $piece) {
                foreach (array_keys($piece->measures) as $i) {
                    $at = $piece->measures[$i]->at->plus(Length::mm(mt_rand(0, 1) === 0 ? 2 : -2));
                    $found = Sizing::ofEverything()->missed($spec, $piece->id, $i, $at);
                    self::assertNotContains($piece->id, array_map(fn (Follow $follow) => $follow->piece->id, $found->follow), 'it is cut already');
                    $missed++;
                }
            }
        }
        self::assertGreaterThan(60, $missed);
    }

    /** An envelope has other settings where its tips reach further: missed, it keeps those it had, whatever goes with it. */
    public function test_a_missed_envelope_keeps_the_settings_it_had(): void
    {
        $spec = [
            'make' => 'deep-envelope', 'system' => 'metric', 'holds' => ['width' => '257.9 mm', 'height' => '90.5 mm', 'thickness' => '1.1 mm'],
            'clearance' => ['width' => '22.9 mm', 'height' => '22.8 mm', 'depth' => '2.7 mm'], 'paper' => ['caliper' => '0.44 mm'],
            'tools' => ['cut' => '1 mm', 'score' => '1.2 mm', 'punch' => '3.4 mm', 'notch' => '5 mm'],
            'options' => ['method' => 'punch-board', 'seam' => '43.3 mm', 'bottomShorter' => '27.1 mm', 'topTip' => 'kept'],
            'with' => [['id' => 'm', 'role' => 'mat', 'on' => '*', 'border' => '5 mm']],
        ];
        $before = Sizing::ofEverything()->size($spec)->piece('envelope');
        self::assertNotNull($before);
        foreach (array_keys($before->measures) as $i) {
            foreach ([-4, 4] as $by) {
                $missed = Sizing::ofEverything()->missed($spec, 'envelope', $i, $before->measures[$i]->at->plus(Length::mm($by)));
                self::assertNotContains('envelope', array_map(fn (Follow $follow) => $follow->piece->id, $missed->follow));
            }
        }
    }

    /** What became another in something that goes with it is told field by field. */
    public function test_a_change_of_what_goes_with_it_is_told(): void
    {
        $document = fn (string $border): array => ['name' => 'Nest', 'spec' => ['with' => [['id' => 'm', 'role' => 'mat', 'on' => 'card/front', 'border' => $border]]] + self::CARD];
        self::assertSame([['at' => '/with/0/border', 'from' => '4 mm', 'to' => '5 mm']], SpecDiff::between($document('4 mm'), $document('5 mm')));
    }

    /** Openings and what is left of a sheet, in square millimetres: a round hole by its chords is within a thousandth of the circle. */
    public function test_an_opening_takes_its_area(): void
    {
        $design = Sizing::ofEverything()->size(['with' => [['id' => 'w', 'role' => 'window', 'on' => 'card/front', 'shape' => ['circle' => '40 mm']], ['id' => 'v', 'role' => 'window', 'on' => 'card/back', 'shape' => ['rect' => ['30 mm', '20 mm'], 'radius' => '5 mm']]]] + self::CARD);
        $area = array_sum(array_map(fn (int $f): float => $design->pieces[0]->pattern()->polygon($f)->area(), array_keys($design->pieces[0]->pattern()->faces)));
        $circle = M_PI * 20 ** 2;
        $rounded = 30 * 20 - (4 - M_PI) * 5 ** 2;
        self::assertEqualsWithDelta(296 * 105 - $circle - $rounded, $area, 0.002 * ($circle + $rounded));
    }
}
