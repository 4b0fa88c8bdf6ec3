<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\CuttingPlan;
use App\Models\Design;
use App\Models\Entry;
use App\Models\Moment;
use App\Shelf\Drafting;
use Gimbo\Core\Exchange\DesignDocument;
use Gimbo\Core\Library\EntryReader;
use Gimbo\Core\Library\Kind;
use Illuminate\Database\Seeder;

/** What a tern-watching club on a tidal island makes for its spring fair. Put on the shelf only while it has never held anything. */
final class DemoSeeder extends Seeder
{
    public function run(Drafting $drafting): void
    {
        if (Design::withTrashed()->exists() || Entry::query()->exists()) {
            return;
        }
        foreach (array_reverse(self::designs() + self::decorated()) as $name => $spec) {
            $drafting->start(DesignDocument::of($name, $spec + ['make' => 'diagonal-envelope'], self::NOTES[$name] ?? null), self::GROUPS[$name] ?? '');
        }
        foreach (self::library() as [$kind, $entry]) {
            Entry::query()->create(['kind' => $kind->value, 'entry' => EntryReader::read($kind, $entry)]);
        }
        self::plan();
    }

    private const NOTES = [
        'Ten tern cards in a box' => "For the stall at the spring fair: make nine, three of each colour.\nThe tern on the lid is stamped before anything is scored.",
    ];

    private const GROUPS = [
        'Ten tern cards in a box' => 'Note-card set', 'Wallet for six note cards' => 'Note-card set', 'Bundle of boat tickets' => 'Boat tickets',
        'Boat ticket to the sandbank' => 'Boat tickets', 'Wallet of six, dressed' => 'Note-card set',
    ];

    /** @return list<array{Kind, array<string, mixed>}> */
    private static function library(): array
    {
        return [
            [Kind::Papers, ['name' => 'Sandbank', 'weight' => 120, 'caliper' => '0.16', 'width' => '12', 'height' => '12', 'colour' => '#ecdcbb', 'stock' => [self::sheets('12', '12', 14), self::offcut('3', '12', 2, 'folder 1'), self::offcut('5 1/2', '6', 1, 'folder 1')]]],
            [Kind::Papers, ['name' => 'Low tide', 'system' => 'metric', 'weight' => 240, 'width' => '210', 'height' => '297', 'colour' => '#b9cfd6', 'stock' => [self::sheets('210', '297', 9), self::offcut('210', '92', 3, 'folder 2')]]],
            [Kind::Papers, ['name' => 'Tern white', 'weight' => 80, 'basis' => 'cover-lb', 'width' => '8 1/2', 'height' => '11', 'colour' => '#fbfaf5', 'stock' => [self::sheets('8 1/2', '11', 40), self::offcut('8 1/2', '4', 1, 'folder 1')]]],
            [Kind::Papers, ['name' => 'Dune grass', 'weight' => 65, 'basis' => 'cover-lb', 'width' => '12', 'height' => '12', 'colour' => '#c4cfa6', 'stock' => [self::sheets('12', '12', 6), self::sheets('6', '6', 20)]]],
            [Kind::Papers, ['name' => 'Wrack line', 'system' => 'metric', 'weight' => 200, 'width' => '305', 'height' => '305', 'colour' => '#8a7f73', 'stock' => [self::sheets('305', '305', 4), self::offcut('120', '305', 1, 'folder 2')]]],
            [Kind::Envelopes, ['name' => 'Slack water grey', 'width' => '5 3/4', 'height' => '4 3/8', 'count' => 18, 'pack' => 25, 'place' => 'box 2']],
            [Kind::Tools, ['name' => 'Club house table', 'notch' => '0.42', 'reach' => '12', 'trimmerScore' => '1/16']],
            [Kind::Tools, ['name' => 'Warden’s hut', 'system' => 'metric', 'score' => '5', 'cut' => '1, 1/16 in', 'reach' => '305']],
            [Kind::Sizes, ['name' => 'Island season ticket', 'kind' => 'card', 'width' => '3 3/8', 'height' => '2 1/8']],
            [Kind::Sizes, ['name' => 'Survey sheet, folded', 'system' => 'metric', 'kind' => 'card', 'width' => '99', 'height' => '140']],
        ];
    }

    /** @return array<string, mixed> */
    private static function sheets(string $width, string $height, int $count): array
    {
        return ['width' => $width, 'height' => $height, 'count' => $count];
    }

    /** @return array<string, mixed> */
    private static function offcut(string $width, string $height, int $count, string $place): array
    {
        return ['width' => $width, 'height' => $height, 'count' => $count, 'offcut' => true, 'place' => $place];
    }

    /** Thirty invitations, an envelope for each, cards with two mats, from the drawer. */
    private static function plan(): void
    {
        $design = fn (string $name): string => (string) Design::query()->where('name', $name)->value('id');
        $paper = fn (string $name): string => (string) Entry::query()->where('kind', Kind::Papers->value)->where('entry->name', $name)->value('id');
        CuttingPlan::query()->create(['name' => 'Thirty invitations to the spring fair', 'made_at' => Moment::now(), 'asked' => [
            'items' => [['design' => $design('Spring-fair invitation'), 'count' => 30], ['design' => $design('Invitation with two mats'), 'count' => 30]],
            'papers' => ['' => $paper('Tern white')],
        ]]);
    }

    /** @return array<string, array<string, mixed>> spec by name */
    private static function designs(): array
    {
        $kraft = ['caliper' => '0.18 mm'];

        return [
            'Spring-fair invitation' => [
                'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm', 'count' => 1],
                'paper' => ['caliper' => '0.12 mm', 'sheet' => ['width' => '12 in', 'height' => '12 in']],
            ],
            'Boat ticket to the sandbank' => [
                'system' => 'metric',
                'holds' => ['width' => '105 mm', 'height' => '74 mm', 'thickness' => '0.6 mm', 'count' => 1],
                'paper' => ['caliper' => '0.12 mm', 'sheet' => ['width' => '210 mm', 'height' => '297 mm']],
                'options' => ['method' => 'score-board'],
            ],
            'Survey card, postal set' => [
                'system' => 'metric',
                'holds' => ['width' => '148 mm', 'height' => '105 mm', 'thickness' => '0.9 mm', 'count' => 1],
                'paper' => $kraft,
            ],
            'Seed packet, sea thrift' => [
                'system' => 'metric',
                'holds' => ['width' => '75 mm', 'height' => '75 mm', 'thickness' => '3 mm', 'count' => 1],
                'paper' => $kraft,
            ],
            'Tide-table card, upright' => [
                'holds' => ['width' => '3 in', 'height' => '5 in', 'thickness' => '1/32 in', 'count' => 2],
                'paper' => ['caliper' => '0.1 mm'],
                'options' => ['method' => 'score-board', 'seam' => '3/8 in'],
            ],
            'Programme of the spring fair' => [
                'make' => 'straight-envelope', 'system' => 'metric',
                'holds' => ['width' => '140 mm', 'height' => '95 mm', 'thickness' => '1 mm'],
                'paper' => ['caliper' => '0.12 mm'],
            ],
            'Bundle of boat tickets' => [
                'make' => 'deep-envelope',
                'holds' => ['width' => '6 in', 'height' => '3 1/4 in', 'thickness' => '5/8 in'],
                'paper' => $kraft,
            ],
            'Sachet of sea-thrift seed' => [
                'make' => 'corner-pouch', 'system' => 'metric',
                'holds' => ['width' => '60 mm', 'height' => '70 mm', 'thickness' => '9 mm'],
                'clearance' => ['width' => '4 mm', 'height' => '4 mm'],
                'paper' => ['caliper' => '0.1 mm'],
                'options' => ['bulk' => 'pillow', 'method' => 'score-board'],
            ],
            'Ten tern cards in a box' => [
                'make' => 'tray-and-lid',
                'holds' => ['width' => '5 1/4 in', 'height' => '4 in', 'thickness' => '4.2 mm', 'count' => 10],
            ],
            'Shaker card for the warden' => [
                'make' => 'tray-and-lid',
                'holds' => ['width' => '5 in', 'height' => '7 in', 'thickness' => '1/2 in'],
                'options' => ['lidWall' => 'doubled'],
            ],
            'Survey forms on the desk' => [
                'make' => 'slope-box',
                'holds' => ['width' => '5 1/2 in', 'height' => '7 in', 'thickness' => '1 1/2 in'],
                'options' => ['dividers' => 3],
            ],
            'Wallet for six note cards' => [
                'make' => 'note-wallet',
                'holds' => ['width' => '4 in', 'height' => '5 1/2 in', 'thickness' => '1/8 in', 'count' => 6],
            ],
            'Invitation, half fold' => [
                'make' => 'folded-card', 'system' => 'metric',
                'holds' => ['width' => '100 mm', 'height' => '140 mm', 'thickness' => '0.6 mm'],
                'paper' => ['caliper' => '0.3 mm', 'sheet' => ['width' => '210 mm', 'height' => '297 mm']],
            ],
            'Kite of terns' => [
                'make' => 'diamond-card',
                'holds' => ['width' => '5 in', 'height' => '7 in', 'thickness' => '1 mm'],
            ],
            'First egg of the year' => [
                'make' => 'slant-gate-card',
                'holds' => ['width' => '5 in', 'height' => '6 1/2 in', 'thickness' => '1 mm'],
            ],
            'Lighthouse evening' => [
                'make' => 'lantern-card',
                'holds' => ['width' => '4 1/2 in', 'height' => '5 in', 'thickness' => '2 mm'],
            ],
            'Certificate for the counters' => [
                'holds' => ['width' => '7 in', 'height' => '5 in', 'thickness' => '1 mm', 'count' => 1],
                'paper' => ['caliper' => '0.12 mm', 'sheet' => ['width' => '8 1/2 in', 'height' => '11 in']],
            ],
        ];
    }

    /** @return array<string, array<string, mixed>> those with everything that goes with them, spec by name */
    private static function decorated(): array
    {
        $papers = [
            'low-tide' => ['name' => 'Low tide', 'colour' => '#b9cfd6', 'grammage' => 240, 'sheet' => ['width' => '210 mm', 'height' => '297 mm']],
            'sandbank' => ['name' => 'Sandbank', 'colour' => '#ecdcbb', 'caliper' => '0.16 mm', 'sheet' => ['width' => '12 in', 'height' => '12 in'], 'direction' => 'up'],
            'vellum' => ['name' => 'Sea mist', 'colour' => '#eef4f4', 'caliper' => '0.1 mm'],
        ];
        $mat = fn (string $id, string $on, string $border, string $paper): array => ['id' => $id, 'role' => 'mat', 'on' => $on, 'border' => $border, 'paper' => $paper];
        $months = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

        return [
            'Tin of shell finds' => [
                'make' => 'tray-and-lid', 'system' => 'metric', 'papers' => $papers,
                'holds' => ['width' => '66 mm', 'height' => '86 mm', 'thickness' => '22 mm'],
                'options' => ['lidDepth' => '12 mm'],
                'pieces' => ['lid' => ['paper' => 'low-tide']],
                'with' => [
                    $mat('top', 'lid/base', '5 mm', 'sandbank'),
                    ['id' => 'porthole', 'role' => 'window', 'on' => 'lid/base', 'shape' => ['circle' => '34 mm'], 'backing' => ['paper' => 'vellum', 'margin' => '6 mm']],
                    ['id' => 'round', 'role' => 'band', 'width' => '20 mm', 'paper' => 'sandbank'],
                ],
            ],
            'Wallet of six, dressed' => [
                'make' => 'note-wallet', 'papers' => $papers,
                'holds' => ['width' => '4 in', 'height' => '5 1/2 in', 'thickness' => '1/8 in', 'count' => 6],
                'with' => [$mat('left', 'cover/left-cover', '3/16 in', 'low-tide'), $mat('right', 'cover/right-cover', '3/16 in', 'low-tide')],
            ],
            'Lantern for the tern night' => [
                'make' => 'lantern-card', 'system' => 'metric', 'papers' => $papers,
                'holds' => ['width' => '110 mm', 'height' => '130 mm', 'thickness' => '2 mm'],
                'with' => [
                    ['id' => 'glow', 'role' => 'window', 'on' => 'strip/front', 'shape' => ['oval' => ['52 mm', '74 mm']], 'backing' => ['paper' => 'vellum', 'margin' => '6 mm'], 'frame' => ['paper' => 'sandbank', 'width' => '6 mm']],
                ],
            ],
            'Twelve months of sightings' => [
                'make' => 'slope-box', 'papers' => $papers,
                'holds' => ['width' => '5 in', 'height' => '6 in', 'thickness' => '1 in'],
                'options' => ['dividers' => 12],
                'with' => [
                    $mat('front', 'box/front', '1/4 in', 'sandbank'),
                    ...array_map(fn (string $month): array => ['id' => strtolower($month), 'role' => 'label', 'text' => $month, 'width' => '1 1/2 in', 'height' => '3/8 in', 'paper' => 'low-tide'], $months),
                ],
            ],
            'Invitation with two mats' => [
                'make' => 'folded-card', 'papers' => $papers, 'paper' => ['caliper' => '0.27 mm', 'name' => 'Tern white'],
                'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm'],
                'with' => [
                    ['id' => 'sand', 'role' => 'mat', 'on' => 'card/front', 'border' => '1/8 in', 'paper' => 'sandbank'],
                    ['id' => 'tide', 'role' => 'mat', 'on' => 'sand', 'border' => '1/8 in', 'paper' => 'low-tide'],
                ],
            ],
            'Order of the counting day' => [
                'make' => 'folded-card', 'system' => 'metric', 'papers' => $papers,
                'holds' => ['width' => '99 mm', 'height' => '180 mm', 'thickness' => '1 mm'],
                'options' => ['fold' => 'letter'],
                'with' => [
                    ['id' => 'head', 'role' => 'strip', 'on' => 'card/back', 'width' => '30 mm', 'at' => ['left' => '49 mm', 'bottom' => '150 mm'], 'paper' => 'low-tide'],
                    ['id' => 'edge', 'role' => 'strip', 'on' => 'card/flap', 'width' => '14 mm', 'way' => 'upright', 'paper' => 'sandbank'],
                    ['id' => 'tied', 'role' => 'ribbon', 'width' => '8 mm'],
                ],
            ],
        ];
    }
}
