<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

final class LibraryTest extends TestCase
{
    public function test_what_is_kept_comes_back_and_what_is_wrong_is_not_kept(): void
    {
        $paper = $this->postJson('/api/library/papers', ['name' => 'Sand', 'weight' => 120, 'caliper' => '0.16', 'width' => '12', 'height' => '12', 'colour' => '#e8d9b5'])->assertCreated();
        $this->postJson('/api/library/tools', ['name' => 'Hall table', 'notch' => '0.4'])->assertCreated();
        $this->postJson('/api/library/sizes', ['name' => 'Boat pass', 'kind' => 'card', 'width' => '3 3/8', 'height' => '2 1/8'])->assertCreated();
        $this->postJson('/api/library/sizes', ['name' => 'Broken', 'width' => 'x'])->assertUnprocessable()
            ->assertJsonPath('errors.*.at', ['/width', '/height']);
        $library = $this->getJson('/api/library')->assertOk()->assertJsonCount(1, 'sizes')->assertJsonCount(1, 'tools');
        self::assertSame('0.16 mm', $library->json('papers.0.caliper'));

        $id = $paper->json('id');
        $this->putJson("/api/library/papers/$id", ['name' => 'Sand', 'weight' => 140])->assertOk()->assertJsonPath('caliper', '0.175 mm');
        $this->putJson("/api/library/papers/$id", ['name' => ''])->assertUnprocessable();
        $this->deleteJson("/api/library/papers/$id")->assertOk();
        $this->getJson('/api/library')->assertJsonCount(0, 'papers');
        $this->postJson('/api/library/cloths', ['name' => 'x'])->assertNotFound();
    }

    public function test_a_file_of_sizes_is_looked_at_before_it_is_kept(): void
    {
        $csv = "name,kind,width,height\r\n\"Ferry, return\",card,148 mm,74 mm\r\nWrong,card,148,74 mm\r\n";
        $this->postJson('/api/library/sizes/preview', ['csv' => $csv])->assertOk()
            ->assertJsonPath('rows.0.entry.name', 'Ferry, return')->assertJsonPath('rows.1.line', 3)->assertJsonPath('rows.1.problem.at', '/width');
        $this->getJson('/api/library')->assertJsonCount(0, 'sizes');
        $this->postJson('/api/library/sizes/take', ['csv' => $csv])->assertCreated()->assertJsonPath('taken', 1);
        $out = $this->get('/api/library/sizes.csv')->assertOk();
        self::assertSame("name,kind,width,height\r\n\"Ferry, return\",card,\"148 mm\",\"74 mm\"\r\n", $out->getContent());
        $this->postJson('/api/library/sizes/preview', ['csv' => (string) $out->getContent()])->assertJsonPath('rows.0.problem.at', '/name');
        $this->postJson('/api/library/sizes/preview', ['csv' => 'no table'])->assertUnprocessable();
        $this->postJson('/api/library/sizes/preview', [])->assertUnprocessable();
    }

    public function test_trials(): void
    {
        $this->postJson('/api/trials/notch', ['system' => 'metric', 'side' => '150', 'mark' => '75', 'long' => '90.5', 'short' => '90.5'])
            ->assertOk()->assertJsonPath('isSure', true)->assertJsonPath('value', '11.01 mm');
        $this->postJson('/api/trials/caliper', ['stack' => '6', 'sheets' => 20])->assertOk()->assertJsonPath('value', '0.3 mm');
        $this->postJson('/api/trials/notch', ['side' => '6'])->assertUnprocessable();
    }

    /** Tools and paper go into a design by name, and the name goes when they are set otherwise. */
    public function test_a_design_knows_the_tools_and_the_paper_it_was_made_with_by_name(): void
    {
        $id = $this->start();
        $with = fn (): array => (array) $this->getJson("/api/designs/$id")->json('choices');
        $this->edit($id, [['at' => '/tools/notch', 'to' => '0.4 in'], ['at' => '/tools/name', 'to' => 'Hall table'], ['at' => '/paper/name', 'to' => 'Sand'], ['at' => '/paper/colour', 'to' => '#e8d9b5'], ['at' => '/paper/caliper', 'to' => '0.2 mm']])->assertOk();
        self::assertSame(['Hall table', 'Sand', '#e8d9b5'], [$with()['/tools/name'], $with()['/paper/name'], $with()['/paper/colour']]);
        $this->edit($id, [['at' => '/tools/notch', 'to' => '0.42 in']])->assertOk();
        self::assertArrayNotHasKey('/tools/name', $with());
        self::assertArrayHasKey('/paper/name', $with());
        $this->edit($id, [['at' => '/paper/caliper', 'nudge' => 1]])->assertOk();
        self::assertArrayNotHasKey('/paper/name', $with());
        $this->edit($id, [['at' => '/paper/colour', 'to' => 'sand']])->assertUnprocessable()->assertJsonPath('errors.0.at', '/paper/colour');
    }

    public function test_what_is_usually_worked_with_is_said_once_and_begun_with(): void
    {
        $this->getJson('/api/usual')->assertOk()->assertExactJson(['usual' => null]);
        $usual = $this->putJson('/api/usual', self::usual(['/system' => 'metric', '/paper/caliper' => '0.25', '/clearance/width' => '5', '/clearance/height' => '']))->assertOk()->json('usual');
        self::assertSame(['system' => 'metric', 'paper' => ['caliper' => '0.25 mm'], 'clearance' => ['width' => '5 mm']], $usual);
        self::assertSame($usual, $this->getJson('/api/usual')->json('usual'));
        $spec = $this->postJson('/api/starts', ['holds' => ['width' => '105 mm', 'height' => '148 mm', 'thickness' => '1 mm', 'count' => '1'], 'with' => self::usual(['/system' => 'metric', '/paper/caliper' => '0.25', '/tools/cut' => '0.5 mm'])['changes']])->assertOk()->json('spec');
        self::assertSame([['caliper' => '0.25 mm'], ['cut' => '0.5 mm']], [$spec['paper'], $spec['tools']]);
        $this->getJson('/api/library')->assertJsonMissingPath('usual');
    }

    public function test_what_is_usual_is_refused_where_it_is_none_and_the_old_stays(): void
    {
        $this->putJson('/api/usual', self::usual(['/paper/caliper' => '0.012 in']))->assertOk();
        $this->putJson('/api/usual', self::usual(['/paper/caliper' => 'thick']))->assertUnprocessable()->assertJsonPath('errors.0.at', '/paper/caliper');
        $this->getJson('/api/usual')->assertJsonPath('usual.paper.caliper', '0.012 in');
    }

    /**
     * @param array<string, string> $changes by pointer
     * @return array{changes: list<array{at: string, to: string}>}
     */
    private static function usual(array $changes): array
    {
        return ['changes' => array_map(fn (string $at, string $to) => ['at' => $at, 'to' => $to], array_keys($changes), $changes)];
    }
}
