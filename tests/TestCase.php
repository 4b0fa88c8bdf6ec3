<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Routing\Route;
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

    /**
     * Whatever a test asks of the API, the answer is what the contract promises; files are none of its business.
     *
     * @param string $method
     * @param string $uri
     * @param array<mixed> $parameters
     * @param array<mixed> $cookies
     * @param array<mixed> $files
     * @param array<mixed> $server
     * @param ?string $content
     * @return TestResponse<Response>
     */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        $answer = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        $asked = $answer->baseRequest?->route();
        $route = $asked instanceof Route ? $asked->uri() : '';
        $isJson = str_contains((string) $answer->headers->get('content-type'), 'application/json');
        $body = $isJson && str_starts_with($route, 'api/') && $route !== 'api/ping' ? $answer->getContent() : false;
        if ($body !== false) {
            self::assertNull(Promised::broken($answer->baseRequest?->method() ?? $method, substr($route, 3), $answer->getStatusCode(), $body));
        }

        return $answer;
    }
}
