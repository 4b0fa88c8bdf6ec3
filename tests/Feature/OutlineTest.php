<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tests\TestCase;

final class OutlineTest extends TestCase
{
    private const TAG = '<svg xmlns="http://www.w3.org/2000/svg" width="4.25in" height="2in" viewBox="0 0 425 200"><path d="M0 50 50 0H425V200H50L0 150Z"/></svg>';

    public function test_a_drawing_becomes_what_is_held(): void
    {
        $read = $this->postJson('/api/outlines', ['file' => self::TAG])->assertOk()
            ->assertJsonPath('format', 'svg')->assertJsonPath('unit', null)->assertJsonPath('width', '4 1/4 in')->assertJsonPath('height', '50.8 mm');
        $points = $read->json('points');
        $id = $this->start('Tag', ['make' => 'straight-envelope', 'holds' => ['width' => '4 1/4 in', 'height' => '50.8 mm', 'outline' => $points]]);
        $design = $this->getJson("/api/designs/$id")->assertOk();
        self::assertCount(6, (array) $design->json('design.pieces.0.outline'));
        $out = (string) $this->get("/api/designs/$id/design.json")->getContent();
        $back = $this->call('POST', '/api/designs/import', server: ['CONTENT_TYPE' => 'application/json'], content: $out)->assertCreated();
        self::assertSame($design->json('design'), $back->json('design'));
        $this->edit($id, [['at' => '/holds/width', 'to' => '4 1/2 in']])->assertOk()->assertJsonCount(6, 'design.pieces.0.outline');
        $this->getJson("/api/designs/$id/history")->assertOk();
    }

    public function test_what_cannot_be_read_is_said_at_its_field_and_nothing_is_kept(): void
    {
        $this->postJson('/api/outlines', ['file' => str_replace('width="4.25in" height="2in"', '', self::TAG)])->assertUnprocessable()->assertJsonPath('errors.0.at', '/unit');
        $this->postJson('/api/outlines', ['file' => self::TAG, 'unit' => 'ell'])->assertUnprocessable()->assertJsonPath('errors.0.at', '/unit');
        $this->postJson('/api/outlines', ['file' => '<svg><script/></svg>'])->assertUnprocessable()->assertJsonPath('errors.0.at', '/file');
        $this->postJson('/api/outlines', [])->assertUnprocessable()->assertJsonPath('errors.0.at', '/file');
        $this->postJson('/api/outlines', ['file' => str_repeat(' ', 1_700_000)])->assertStatus(413);
        $this->getJson('/api/designs')->assertJsonCount(0, 'designs');
    }
}
