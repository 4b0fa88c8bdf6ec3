<?php

declare(strict_types=1);

namespace Gimbo\Core\Tests\Rules;

use Gimbo\Core\Fit\Fit;
use Gimbo\Core\Make\Makes;
use Gimbo\Core\Measure\Length;
use Gimbo\Core\Settle\Figures;
use Gimbo\Core\Settle\Missed;
use Gimbo\Core\Settle\PieceFigures;
use Gimbo\Core\Sheet\Measure;
use Gimbo\Core\Sizing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One setting otherwise, and nothing but what hangs on it: worked out by hand. */
final class DeviationTest extends TestCase
{
    private const TRAY = [
        'make' => 'tray-and-lid', 'system' => 'metric', 'holds' => ['width' => '100 mm', 'height' => '150 mm', 'thickness' => '20 mm'],
        'clearance' => ['width' => '0 mm', 'height' => '0 mm'], 'paper' => ['caliper' => '0.5 mm'], 'options' => ['depth' => '25 mm', 'lidPlay' => '1 mm'],
    ];

    /** Tray and lid both have walls: the tray's scored 2 mm nearer to the edge leave the lid's, and its sheet, where they were planned. */
    public function test_a_setting_of_one_piece_moves_no_other_piece(): void
    {
        $sizing = Sizing::ofEverything();
        $plan = $sizing->plan($sizing->request(self::TRAY));
        $before = $sizing->settle($plan);
        $after = $sizing->settle($plan->with('tray', 'walls', Length::mm(23)));
        self::assertSame(self::readings($before->piece('lid')), self::readings($after->piece('lid')));
        self::assertSame([25.0, 25.0, 25.0, 25.0], self::scores($before->piece('tray')));
        self::assertSame([23.0, 23.0, 23.0, 23.0], self::scores($after->piece('tray')));
        // The base gains 2 · 2: the lid, that stays as it was planned, is as much tighter.
        self::assertSame(4.0, $after->inside->width->minus($before->inside->width)->toMillimetres());
        self::assertSame(-4.0, self::has($after, 'lid-goes-on') - self::has($before, 'lid-goes-on'));
    }

    /** The lid for the tray as it really came out: planned again with the tray's scores given. 105 + 4 · 0.5 + 1 between scores, 12 up: 132 after 128. */
    public function test_the_lid_follows_when_the_tray_is_given(): void
    {
        $sizing = Sizing::ofEverything();
        $request = $sizing->request(['options' => ['depth' => '24 mm', 'lidPlay' => '1 mm']] + self::TRAY);
        $planned = $sizing->settle($sizing->plan($request));
        self::assertSame([149.0, 128.0], [$planned->piece('tray')->sheet->width->toMillimetres(), $planned->piece('lid')->sheet->width->toMillimetres()]);
        $given = $sizing->settle($sizing->plan($request, ['tray/walls' => Length::mm(22), 'tray/sheet-width' => Length::mm(149)]));
        self::assertSame([149.0, 132.0], [$given->piece('tray')->sheet->width->toMillimetres(), $given->piece('lid')->sheet->width->toMillimetres()]);
    }

    /** A sheet of 222 cut 2 mm too narrow leaves 1.55 less than was asked; a side flap scored at 30 instead of 32 gives 2 back: at 30, or read on at 192. */
    public function test_a_rescue_may_go_down(): void
    {
        $spec = ['make' => 'straight-envelope', 'system' => 'metric', 'holds' => ['width' => '150 mm', 'height' => '100 mm', 'thickness' => '1 mm'], 'paper' => ['caliper' => '0.2 mm']];
        $missed = self::missed($spec, 'envelope', 'sheet-width', -2);
        self::assertSame(['card-fits-width'], array_map(fn (Fit $fit) => $fit->id, $missed->gone));
        self::assertSame([['sides', 32.0, 30.0, '30 mm'], ['far-sides', 32.0, 30.0, '192 mm']], array_map(fn ($rescue) => [$rescue->setting->name, $rescue->setting->at->toMillimetres(), $rescue->to->toMillimetres(), $rescue->text], $missed->rescues));
    }

    /** A square 0.2 mm too small on a board loses no room: the sheet still lies on the groove it was planned for, and only the flaps are shorter. */
    public function test_the_middle_groove_stays_when_the_square_is_missed(): void
    {
        $spec = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm'], 'options' => ['method' => 'score-board']];
        $sizing = Sizing::ofEverything();
        $plan = $sizing->plan($sizing->request($spec));
        $side = $sizing->settle($plan)->piece('envelope')->sheet->width;
        self::assertEqualsWithDelta(209.55, $side->toMillimetres(), 0.001);
        $missed = $sizing->settle($plan->with('envelope', 'sheet', $side->minus(Length::mm(2, 10))));
        self::assertSame($sizing->settle($plan)->inside->width->ticks, $missed->inside->width->ticks);
        self::assertSame($sizing->settle($plan)->inside->height->ticks, $missed->inside->height->ticks);
        // A strip 2 · inset wide, and the inset takes half of what the side lost.
        self::assertEqualsWithDelta(-0.2, self::has($missed, 'seam-takes-glue') - self::has($sizing->settle($plan), 'seam-takes-glue'), 0.001);
    }

    /**
     * A seam of 1/8 in is too narrow; scored with 1/4 in it would do, but the square would be 8 in and the paper is 7 3/4: a remedy that
     * mends one fit and breaks another is not offered. Out of larger paper it is.
     */
    public function test_a_remedy_that_breaks_another_fit_is_not_offered(): void
    {
        $spec = ['make' => 'diagonal-envelope', 'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm'], 'options' => ['method' => 'score-board', 'seam' => '1/8 in'], 'paper' => ['caliper' => '0.2 mm', 'sheet' => ['width' => '7 3/4 in', 'height' => '7 3/4 in']]];
        $remedies = fn (array $spec): array => array_column(array_merge(...array_map(fn (Fit $fit) => $fit->id === 'seam-takes-glue' ? $fit->remedies : [], Sizing::ofEverything()->size($spec)->fits)), 'id');
        self::assertSame([], $remedies($spec));
        self::assertSame(['score-with-seam', 'score-with-seam'], $remedies(['paper' => ['caliper' => '0.2 mm', 'sheet' => ['width' => '12 in', 'height' => '12 in']]] + $spec));
    }

    /** Every setting has a name of its own that docs/settings.md lists with its make, and every one listed there is planned somewhere. */
    #[DataProvider('makes')]
    public function test_settings_go_by_the_names_that_are_listed(string $make): void
    {
        preg_match_all('/^\| `([\w-]+)` \| `([\w\/-]+)`/m', (string) file_get_contents(__DIR__.'/../../../docs/settings.md'), $rows, PREG_SET_ORDER);
        $listed = array_column(array_filter($rows, fn (array $row) => $row[1] === $make), 2);
        $sizing = Sizing::ofEverything();
        $planned = [];
        mt_srand(9);
        for ($run = 0; $run < 300; $run++) {
            $request = $sizing->request(\Gimbo\Core\Tests\Specs::random($make));
            $plan = $sizing->plan($request);
            foreach ($plan->settings->all as $key => $setting) {
                self::assertSame($key, "$setting->piece/$setting->name");
                self::assertSame($setting->at->ticks, $setting->madeOf->figure()->ticks, $key);
                $planned[preg_replace(['/^divider-\d+/', '~/far-~'], ['divider', '/'], $key)] = true;
            }
            foreach ($sizing->settle($plan)->pieces as $piece) {
                foreach ($piece->measures as $measure) {
                    self::assertSame($plan->settings->of($piece->id, $measure->setting)->at->ticks, ($measure->across?->minus($measure->at) ?? $measure->at)->ticks);
                }
            }
        }
        self::assertEqualsCanonicalizing($listed, array_keys($planned));
    }

    /** @return iterable<string, array{string}> */
    public static function makes(): iterable
    {
        foreach (Makes::all()->ids() as $id) {
            yield $id => [$id];
        }
    }

    /** @param array<string, mixed> $spec */
    private static function missed(array $spec, string $piece, string $setting, int $by): Missed
    {
        $sizing = Sizing::ofEverything();
        $measures = $sizing->size($spec)->piece($piece)->measures ?? [];
        $index = array_key_first(array_filter($measures, fn (Measure $measure) => $measure->setting === $setting));
        self::assertIsInt($index);

        return $sizing->missed($spec, $piece, $index, $measures[$index]->at->plus(Length::mm($by)));
    }

    /** How much of a fit there is, mm. */
    private static function has(Figures $figures, string $fit): float
    {
        return array_values(array_filter($figures->fits, fn (Fit $one) => $one->id === $fit))[0]->have->toMillimetres();
    }

    /** @return list<int> */
    private static function readings(PieceFigures $piece): array
    {
        return array_map(fn (Measure $measure) => $measure->at->ticks, $piece->measures);
    }

    /** @return list<float> */
    private static function scores(PieceFigures $piece): array
    {
        return array_map(fn (Measure $measure) => $measure->at->toMillimetres(), array_values(array_filter($piece->measures, fn (Measure $measure) => $measure->kind->value === 'score')));
    }
}
