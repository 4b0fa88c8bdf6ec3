<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

abstract class TestCase extends FrameworkTestCase
{
    use RefreshDatabase;

    protected const SPEC = [
        'make' => 'diagonal-envelope',
        'holds' => ['width' => '5 1/2 in', 'height' => '4 1/4 in', 'thickness' => '1 mm', 'count' => 1],
    ];

    /** @param array<string, mixed> $spec */
    protected function start(string $name = 'Boat ticket', array $spec = []): string
    {
        $id = $this->postJson('/api/designs', ['name' => $name, 'spec' => $spec + self::SPEC])->assertCreated()->json('id');
        assert(is_string($id));

        return $id;
    }

    /**
     * @param list<array<string, mixed>> $changes
     * @return TestResponse<Response>
     */
    protected function edit(string $id, array $changes, ?string $gesture = null, ?string $editId = null): TestResponse
    {
        return $this->postJson("/api/designs/$id/edits", ['id' => $editId ?? (string) Str::uuid(), 'gesture' => $gesture, 'changes' => $changes]);
    }
}
