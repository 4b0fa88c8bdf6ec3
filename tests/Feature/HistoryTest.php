<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

final class HistoryTest extends TestCase
{
    public function test_says_what_was_done_and_goes_to_any_of_it(): void
    {
        $id = $this->start();
        $this->edit($id, [['at' => '/holds/width', 'to' => '6']]);
        $this->edit($id, [['at' => '/system', 'to' => 'metric']]);
        $history = $this->getJson("/api/designs/$id/history")->assertOk();
        self::assertSame(3, $history->json('now'));
        self::assertSame([['at' => '/system', 'from' => null, 'to' => 'metric']], $history->json('revisions.0.changes'));
        self::assertSame([['at' => '/holds/width', 'from' => '5 1/2 in', 'to' => '6 in']], $history->json('revisions.1.changes'));
        self::assertSame([], $history->json('revisions.2.changes'));
        $this->postJson("/api/designs/$id/go", ['revision' => 3, 'to' => 1])->assertOk()->assertJsonPath('fields./holds/width.text', '5 1/2 in')->assertJsonPath('canRedo', true);
        $this->postJson("/api/designs/$id/go", ['revision' => 3, 'to' => 2])->assertOk()->assertJsonPath('revision', 1);
        $this->postJson("/api/designs/$id/go", ['revision' => 1, 'to' => 9])->assertOk()->assertJsonPath('revision', 1);
        $this->postJson("/api/designs/$id/go", ['revision' => 1])->assertUnprocessable()->assertJsonPath('errors.0.at', '/to');
    }

    /** A named state outlives what undoing and changing does to the revisions. */
    public function test_a_named_state_can_be_returned_to_whatever_happened_since(): void
    {
        $id = $this->start();
        $this->edit($id, [['at' => '/holds/width', 'to' => '7']]);
        $point = $this->postJson("/api/designs/$id/points", ['name' => 'Before the fair'])->assertCreated()->json('id');
        $this->postJson("/api/designs/$id/undo", ['revision' => 2]);
        $this->edit($id, [['at' => '/holds/width', 'to' => '3']]);
        $this->postJson("/api/designs/$id/points/$point/return")->assertOk()->assertJsonPath('fields./holds/width.text', '7 in')->assertJsonPath('canUndo', true);
        $this->postJson("/api/designs/$id/undo", ['revision' => 3])->assertJsonPath('fields./holds/width.text', '3 in');
        $this->postJson("/api/designs/$id/points", ['name' => ' '])->assertUnprocessable();
        $other = $this->start();
        $this->postJson("/api/designs/$other/points/$point/return")->assertNotFound();
        $this->deleteJson("/api/designs/$id/points/$point")->assertOk();
        $this->getJson("/api/designs/$id/history")->assertJsonCount(0, 'points');
    }

    public function test_variants_are_designs_beside_the_design_until_one_is_kept(): void
    {
        $id = $this->start('Boat ticket');
        $first = $this->postJson("/api/designs/$id/variants")->assertCreated()->json('id');
        $second = $this->postJson("/api/designs/$id/variants")->assertCreated()->json('id');
        $this->postJson("/api/designs/$id/variants")->assertUnprocessable();
        $this->edit((string) $first, [['at' => '/holds/width', 'to' => '6']])->assertOk();
        $this->getJson('/api/designs')->assertJsonCount(1, 'designs');
        $this->getJson("/api/designs/$id/variants")->assertJsonPath('variants', [$first, $second]);
        $this->deleteJson("/api/designs/$id/variants/$second")->assertOk();
        $this->postJson("/api/designs/$id/variants/$first/keep")->assertOk()->assertJsonPath('fields./holds/width.text', '6 in')->assertJsonPath('name', 'Boat ticket')->assertJsonPath('canUndo', true);
        $this->getJson("/api/designs/$id/variants")->assertJsonPath('variants', []);
        $this->getJson("/api/designs/$first")->assertNotFound();
        $this->postJson("/api/designs/$id/variants/$first/keep")->assertNotFound();
    }

    public function test_the_shelf_renames_groups_and_keeps_what_was_taken_off(): void
    {
        $id = $this->start('Boat ticket');
        $this->patchJson("/api/designs/$id", ['name' => 'Ferry ticket', 'group' => 'Spring fair'])->assertOk()->assertJsonPath('name', 'Ferry ticket')->assertJsonPath('group', 'Spring fair');
        $copy = $this->postJson("/api/designs/$id/copy", ['name' => 'Another'])->json('id');
        $this->getJson('/api/designs')->assertJsonPath('designs.*.group', ['Spring fair', 'Spring fair']);
        $this->patchJson("/api/designs/$copy", ['group' => ''])->assertOk()->assertJsonPath('group', '');
        $this->patchJson("/api/designs/$id", ['name' => ''])->assertUnprocessable();
        $this->patchJson("/api/designs/$id", ['group' => str_repeat('x', 81)])->assertUnprocessable();
        $this->deleteJson("/api/designs/$id")->assertOk();
        $this->getJson('/api/designs/archive')->assertJsonCount(1, 'designs')->assertJsonPath('designs.0.name', 'Ferry ticket');
        $this->postJson("/api/designs/$id/restore")->assertOk();
        $this->getJson('/api/designs/archive')->assertJsonCount(0, 'designs');
    }

    public function test_every_figures_neighbours_can_be_asked_for(): void
    {
        $id = $this->start();
        $answer = $this->getJson("/api/designs/$id/alternatives")->assertOk()->assertJsonPath('revision', 1);
        self::assertSame([[0, 1], [0, 1], [2, 3, 4, 5], [2, 3, 4, 5]], $answer->json('alternatives.*.measures'));
        self::assertSame([1, -1, 1, -1], $answer->json('alternatives.*.steps'));
    }
}
