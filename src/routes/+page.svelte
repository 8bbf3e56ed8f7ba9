<h1 class="p-4">Today</h1>
