<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Make;

use Gimbo\Core\Crease\Assignment;
use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Make\Shared\FromPaper;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Sizing;
use Gimbo\Core\Steps\Deed;
use Gimbo\Core\Steps\WorkStep;
use Gimbo\Core\Tests\Steps\Followed;
use Gimbo\Core\Tests\Steps\Follower;
use PHPUnit\Framework\TestCase;

/** docs/adding-a-make.md, followed: TicketStand, of two pieces with a slit and a join, that nothing in the core knows of. */
final class AddingAMakeTest extends TestCase
{
    private const SPEC = ['make' => 'ticket-stand', 'holds' => ['width' => '100 mm', 'height' => '70 mm', 'thickness' => '2 mm'], 'system' => 'metric', 'paper' => ['caliper' => '0.3 mm', 'sheet' => ['width' => '120 mm', 'height' => '100 mm']]];

    public function test_a_make_of_ones_own_is_sized_once_it_is_registered(): void
    {
        $sizing = new Sizing(new Makes(new TicketStand));
        $design = $sizing->size(self::SPEC);
        self::assertSame(['ticket-stand'], $sizing->makes->ids());
        // Contents and clearance 102, one caliper 0.3: 103 on a trimmer in millimetres, beside a tab of 15; a base of 25.
        self::assertSame([118.0, 95.0], [$design->pieces[0]->sheet->width->toMillimetres(), $design->pieces[0]->sheet->height->toMillimetres()]);
        self::assertSame([103.0, 22.0], [$design->pieces[1]->sheet->width->toMillimetres(), $design->pieces[1]->sheet->height->toMillimetres()]);
        self::assertEqualsWithDelta([103.0, 70.0, 25.0], [$design->pieces[0]->folded()->width, $design->pieces[0]->folded()->height, $design->pieces[0]->folded()->depth], 1e-9);
        $paper = array_values(array_filter($design->fits, fn (Fit $fit) => $fit->id === FromPaper::ID))[0];
        self::assertTrue($paper->isOk());
    }

    public function test_its_tab_is_cut_free_and_glued_and_its_lip_is_joined_to_it(): void
    {
        $design = (new Sizing(new Makes(new TicketStand)))->size(self::SPEC);
        $pattern = $design->pieces[0]->pattern();
        $cut = array_values(array_filter($pattern->edges, fn ($edge) => $edge->assignment === Assignment::Cut));
        self::assertCount(1, $cut);
        self::assertEqualsWithDelta(15.0, $pattern->vertices[$cut[0]->from]->minus($pattern->vertices[$cut[0]->to])->length(), 1e-9);
        self::assertSame($pattern->faceNamed('side'), $pattern->faces[$pattern->faceNamed('tab')]->gluedTo);
        self::assertEqualsWithDelta(15 * 15, $design->pieces[0]->glue()[0]->area(), 1e-6, 'the tab, folded, lies on the side as far as that reaches');
        $glue = array_values(array_filter($design->steps(), fn (WorkStep $step) => $step->do === Deed::Glue));
        self::assertSame([['tab'], ['foot']], array_map(fn (WorkStep $step) => $step->faces, $glue));
        self::assertSame(['side', 'base'], array_map(fn (WorkStep $step) => $step->joins[0]->partner()->face, $glue));
        self::assertSame([], Followed::design($design, Follower::BY_READINGS));
    }

    public function test_a_step_more_and_a_missed_figure_come_by_themselves(): void
    {
        $sizing = new Sizing(new Makes(new TicketStand));
        $names = array_unique(array_map(fn ($one) => "{$one->setting->piece}/{$one->setting->name}", $sizing->alternatives(self::SPEC)));
        self::assertSame(['stand/sheet-width', 'stand/sheet-height', 'stand/sides', 'stand/base', 'lip/sheet-width', 'lip/sheet-height', 'lip/foot'], array_values($names));
        $missed = $sizing->missed(self::SPEC, 'stand', 0, Length::mm(116));
        self::assertSame(['card-fits-width'], array_map(fn (Fit $fit) => $fit->id, $missed->gone));
        // The lip for a stand that came out 2 mm narrower.
        $plan = $sizing->plan($sizing->request(self::SPEC), ['stand/sheet-width' => Length::mm(116)]);
        self::assertSame(101.0, $sizing->settle($plan)->piece('lip')->sheet->width->toMillimetres());
    }
}
