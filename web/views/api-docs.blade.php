@extends('plain')
@section('title', 'The API')
@section('content')
  <p>{{ $api['info']['description'] }} For tools: <a href="/api/openapi.json">openapi.json</a>.</p>
  @php($name = fn (array $schema): string => isset($schema['$ref']) ? basename($schema['$ref']) : (is_array($schema['type'] ?? 'value') ? implode(' or ', $schema['type']) : ($schema['type'] ?? 'value')))
  @foreach (collect($api['paths'])->flatMap(fn ($operations, $path) => collect($operations)->map(fn ($operation, $verb) => [...$operation, 'verb' => strtoupper($verb), 'path' => $path])->values())->groupBy(fn ($operation) => $operation['tags'][0]) as $tag => $operations)
    <h2>{{ $tag }}</h2>
    @foreach ($operations as $operation)
      <article id="{{ $operation['operationId'] }}">
        <h3><code>{{ $operation['verb'] }} {{ $operation['path'] }}</code></h3>
        <p>{{ $operation['summary'] }}</p>
        <dl>
          @isset($operation['requestBody'])
            <dt>Takes</dt><dd><a href="#schema-{{ $name($operation['requestBody']['content']['application/json']['schema']) }}">{{ $name($operation['requestBody']['content']['application/json']['schema']) }}</a></dd>
          @endisset
          @foreach ($operation['parameters'] ?? [] as $parameter)
            <dt><code>{{ $parameter['name'] }}</code></dt><dd>in the {{ $parameter['in'] }}, {{ $parameter['schema']['type'] }}{{ $parameter['required'] ? '' : ', may be left out' }}{{ isset($parameter['description']) ? ': '.$parameter['description'] : '' }}</dd>
          @endforeach
          @foreach ($operation['responses'] as $status => $response)
            @php($answer = isset($response['$ref']) ? $api['components']['responses'][basename($response['$ref'])] : $response)
            @php($schema = collect($answer['content'] ?? [])->first()['schema'] ?? null)
            <dt>{{ $status }}</dt><dd>{{ $answer['description'] }} @if ($schema)(<a href="#schema-{{ $name($schema) }}">{{ $name($schema) }}</a>)@endif</dd>
          @endforeach
        </dl>
      </article>
    @endforeach
  @endforeach
  <h2>Shapes</h2>
  @foreach ($api['components']['schemas'] as $title => $schema)
    <article id="schema-{{ $title }}">
      <h3>{{ $title }}</h3>
      <details>
        <summary class="quiet">{{ $schema['description'] ?? "keys of {$title}" }}</summary>
        <pre>{{ json_encode($schema, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE) }}</pre>
      </details>
    </article>
  @endforeach
@endsection
