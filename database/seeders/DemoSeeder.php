<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Drafting;
use App\Models\Design;
use Gimbo\Core\Exchange\DesignDocument;
use Illuminate\Database\Seeder;

/** What a tern-watching club on a tidal island makes for its spring fair. Put on the shelf only while it has never held anything. */
final class DemoSeeder extends Seeder
{
    public function run(Drafting $drafting): void
    {
        if (Design::withTrashed()->exists()) {
            return;
        }
        foreach (array_reverse(self::designs()) as $name => $spec) {
            $drafting->start(DesignDocument::of($name, ['make' => 'diagonal-envelope'] + $spec));
        }
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
                'holds' => ['width' => '3 1/2 in', 'height' => '3 1/2 in', 'thickness' => '1/8 in', 'count' => 1],
                'clearance' => ['width' => '1/8 in', 'height' => '1/8 in'],
                'paper' => $kraft,
            ],
            'Tide-table card, upright' => [
                'holds' => ['width' => '3 in', 'height' => '5 in', 'thickness' => '1/32 in', 'count' => 2],
                'paper' => ['caliper' => '0.1 mm'],
                'options' => ['method' => 'score-board', 'seam' => '3/8 in'],
            ],
            'Certificate for the counters' => [
                'holds' => ['width' => '7 in', 'height' => '5 in', 'thickness' => '1 mm', 'count' => 1],
                'paper' => ['caliper' => '0.12 mm', 'sheet' => ['width' => '8 1/2 in', 'height' => '11 in']],
            ],
        ];
    }
}
